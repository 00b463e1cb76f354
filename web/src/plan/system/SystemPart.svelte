<script lang="ts">
  import { tick, untrack } from 'svelte';
  import type { Finding, Plan } from '../../lib/api/api';
  import Action from '../../lib/shell/Action.svelte';
  import Sheet from '../../lib/shell/Sheet.svelte';
  import type { PlanEditor } from '../planEditor.svelte';
  import ContactSheet from './ContactSheet.svelte';
  import { hindrance, KINDS, pathOf, withPart, type Kind } from './parts';
  import PartSheet from './PartSheet.svelte';
  import Sketch from './Sketch.svelte';
  import { sketchOf } from './sketch';
  import { treeOf, withoutPower } from './tree';

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

  interface Chosen {
    path: string;
    schema: string;
  }
  /** Below this (px) everything stands in one column. */
  const NARROW = 720;

  let adding = $state(false);
  let width = $state(1120);
  const hasTransfer = $derived(plan.site.inverter?.transfer !== undefined);
  /** What cannot be added here, and why: said once for all that lack the same. */
  const hindered = $derived(
    [...new Set(KINDS.map((kind) => hindrance(plan, kind)).filter(Boolean))].map((why) => ({
      why,
      kinds: KINDS.filter((kind) => hindrance(plan, kind) === why).map((kind) => kind.name),
    })),
  );

  const tree = $derived(treeOf(plan, editor.reading?.conductors));
  const sketch = $derived(sketchOf(tree, plan, width < NARROW));
  const findings = $derived((editor.reading?.findings ?? []).filter((one) => one.dismissed === undefined));
  let chosen = $state<Chosen>();
  $effect(() => {
    const found = about;
    untrack(() => {
      const there = found && foundBy(found);
      if (there) void choose(there);
    });
  });
  const paths = $derived(sketch.placed.map((one) => one.part.path));
  const wrong = $derived(new Set(paths.filter((path) => findings.some((one) => stands(one, path)))));
  const guesses = $derived(
    Object.entries(plan.origins)
      .filter(([, origin]) => origin.kind === 'GUESS')
      .map(([path]) => path),
  );
  const guessed = $derived(
    new Set(paths.filter((own) => guesses.some((path) => path.startsWith(`${own}/`)))),
  );
  const contact = $derived(
    chosen?.schema === 'Output'
      ? plan.program.outputs.find((one) => chosen?.path === `program/outputs/${one.id}`)
      : undefined,
  );
  const cut = $derived(contact ? withoutPower(tree, contact.id) : []);
  const reading = $derived(editor.reading?.outputs.find((one) => one.output === contact?.id));
  const deciders = $derived(
    plan.program.outputs
      .filter((one) => one.supply !== undefined && cut.some((part) => part.id === one.supply))
      .map((one) => one.name),
  );

  const here = $derived(findings.filter((one) => chosen && stands(one, chosen.path)));
  /** Where on the sketch the chosen thing stands: the sheet comes from the other side. */
  const side = $derived.by(() => {
    const path = chosen?.path;
    const at =
      sketch.placed.find((one) => one.part.path === path)?.x ??
      sketch.marks.find((one) => one.path === path)?.x ??
      sketch.contacts.find((one) => path === `program/outputs/${one.output}`)?.x ??
      0;
    return at > sketch.bus.x ? 'left' : 'right';
  });

  /** The part on the sketch that a finding is about; what is said of the AC side stands at the inverter. */
  function foundBy(finding: Pick<Finding, 'path' | 'at'>): Chosen | undefined {
    const parts = sketch.placed.map((one) => one.part);
    const found =
      parts.find((one) => stands(finding, one.path)) ??
      (/^(program\/ac|site\/earthing)/.test(finding.path)
        ? parts.find((one) => one.path === 'site/inverter')
        : undefined);
    const mark = sketch.marks.find((one) => stands(finding, one.path));
    return found
      ? { path: found.path, schema: found.schema }
      : mark && { path: mark.path, schema: 'SensePoint' };
  }

  function stands(finding: Pick<Finding, 'path' | 'at'>, path: string): boolean {
    const last = path.split('/').at(-1);
    return (
      finding.path.startsWith(`${path}/`) ||
      finding.path === path ||
      (finding.at !== '' && finding.at === last)
    );
  }

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
    const refused = sheet?.querySelector<HTMLElement>('[aria-invalid="true"]');
    if (refused) refused.focus();
    else sheet?.querySelector<HTMLElement>('h2')?.focus({ preventScroll: true });
  }

  async function close() {
    const path = chosen?.path ?? '';
    chosen = undefined;
    await tick();
    const from = path.startsWith('program/outputs/')
      ? document.querySelector<SVGElement>(`[id^="contact-${path.split('/').at(-1)}-"]`)
      : document.getElementById(`part-${path.replaceAll('/', '-')}`);
    (from ?? document.getElementById('add-part'))?.focus({ preventScroll: true });
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
    {#if adding}
      <div
        class="mt-2 flex flex-wrap gap-2 border-l-4 border-ink bg-raised p-3"
        role="group"
        aria-label="Add a part"
      >
        {#each KINDS.filter((kind) => !hindrance(plan, kind)) as kind (kind.name)}
          <Action onclick={() => add(kind)}>{kind.name}</Action>
        {/each}
        {#each hindered as { why, kinds } (why)}
          <p class="self-center text-sm text-soft">
            {kinds.join(', ')}: {why}.
          </p>
        {/each}
      </div>
    {/if}
    <div class="mt-2">
      <Sketch
        {sketch}
        chosen={chosen?.path}
        {wrong}
        {guessed}
        cut={new Set(cut.map((one) => one.path))}
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
    <div class="overlay {side}" bind:this={sheet}>
      {#key chosen.path}
        <Sheet label="The chosen part" {side} {close}>
          {#if contact}
            <ContactSheet
              output={contact}
              automatic={reading?.automatic}
              protection={reading?.protection}
              {cut}
              {deciders}
              hasAc={hasTransfer && cut.some((one) => one.path === 'site/inverter')}
              go={() => goToOutput(contact.id)}
            />
          {:else}
            <PartSheet
              {editor}
              {plan}
              path={chosen.path}
              schema={chosen.schema}
              findings={here}
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
