<script lang="ts">
  import { tick, untrack } from 'svelte';
  import type { Finding, Plan } from '../../lib/api/api';
  import Action from '../../lib/shell/Action.svelte';
  import Sheet from '../../lib/shell/Sheet.svelte';
  import type { PlanEditor } from '../planEditor.svelte';
  import ContactSheet from './ContactSheet.svelte';
  import AddPart from './AddPart.svelte';
  import { foundBy, type Chosen } from './finding';
  import { focusAt, focusIn } from './focus';
  import { pathOf, withPart, type Kind } from './parts';
  import PartSheet from './PartSheet.svelte';
  import Sketch from './Sketch.svelte';
  import { SketchView } from './sketchView.svelte';

  interface Props {
    editor: PlanEditor;
    plan: Plan;
    readonly: boolean;
    output: (id: string) => void;
    /** A finding that led here: the part it is about is chosen. */
    about?: Pick<Finding, 'path' | 'at'>;
  }

  /** What is here: the one-line diagram, and the part or contact that was chosen in it in a sheet that slides over it. */
  let { editor, plan, readonly, output: goToOutput, about }: Props = $props();

  /** Below this (px) everything stands in one column. */
  const NARROW = 720;

  let adding = $state(false);
  let width = $state(1120);
  let chosen = $state<Chosen>();
  const view = new SketchView(() => ({ editor, plan, narrow: width < NARROW, path: chosen?.path }));
  $effect(() => {
    const found = about;
    untrack(() => {
      const there = found && foundBy(view.sketch, found);
      if (there) void choose(there);
    });
  });

  /** What can be added, in place of what was chosen: the sheet would lie over it. */
  function offer() {
    adding = !adding;
    if (adding) chosen = undefined;
  }

  function add(kind: Kind) {
    const added = withPart(plan, kind);
    editor.take(added.plan, `${added.name} is new`);
    void choose({ path: pathOf(kind, added.id), schema: kind.schema });
    adding = false;
  }

  let sheet = $state<HTMLElement>();

  /** The focus goes into the sheet, to what is refused there if anything is, and back to what was chosen when that is closed. */
  async function choose(next: Chosen) {
    chosen = next;
    await tick();
    focusIn(sheet);
  }

  async function close() {
    const path = chosen?.path ?? '';
    chosen = undefined;
    await tick();
    focusAt(path);
  }
</script>

<div class="relative md:min-h-[calc(100vh-9rem)]" bind:clientWidth={width}>
  <section class="min-w-0 px-4 py-3 md:px-6" aria-labelledby="system">
    <div class="flex flex-wrap items-center gap-x-4 gap-y-2">
      <h2 id="system">What is here</h2>
      <p class="grow text-soft">Choose a part to change it, a contact to see what it cuts off.</p>
      {#if !readonly}
        <Action id="add-part" onclick={offer} aria-expanded={adding}>Add a part…</Action>
      {/if}
    </div>
    {#if adding}<AddPart {plan} {add} />{/if}
    <div class="mt-2">
      <Sketch
        sketch={view.sketch}
        chosen={chosen?.path}
        wrong={new Set(view.wrong)}
        guessed={new Set(view.guessed)}
        cut={new Set(view.cut.map((one) => one.path))}
        choose={(path, schema) => choose({ path, schema })}
        contact={(id) => choose({ path: `program/outputs/${id}`, schema: 'Output' })}
      />
    </div>
    <p class="mt-1 text-sm text-soft">
      ◇ where voltage is read · ? a number nobody has confirmed · blade: contact of an output, open where a
      rule decides · lines as heavy as the current they can carry · volts on a wire: what its cable drops then
    </p>
  </section>
  {#if chosen}
    <div class="overlay {view.side}" bind:this={sheet}>
      {#key chosen.path}
        <Sheet label="The chosen part" side={view.side} {close}>
          {#if view.contact}
            {@const contact = view.contact}
            <ContactSheet
              output={contact}
              automatic={view.reading?.automatic}
              protection={view.reading?.protection}
              cut={view.cut}
              deciders={view.deciders}
              hasAc={view.cutsAc}
              go={() => goToOutput(contact.id)}
            />
          {:else}
            <PartSheet
              {editor}
              {plan}
              path={chosen.path}
              schema={chosen.schema}
              findings={view.here}
              {readonly}
              gone={() => void close()}
            />
          {/if}
        </Sheet>
      {/key}
    </div>
  {/if}
</div>

<style>
  @media (min-width: 768px) {
    .overlay {
      position: absolute;
      top: 0;
      bottom: 0;
      pointer-events: none;
    }
    .overlay.right {
      right: 0;
    }
    .overlay.left {
      left: 0;
    }
    .overlay > :global(*) {
      pointer-events: auto;
    }
  }
</style>
