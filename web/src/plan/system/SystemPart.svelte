<script lang="ts">
  import { untrack } from 'svelte';
  import type { Finding, Plan } from '../../lib/api/api';
  import Action from '../../lib/shell/Action.svelte';
  import FindingLine from '../FindingLine.svelte';
  import type { PlanEditor } from '../planEditor.svelte';
  import { atPlace, placeOf } from '../planPath';
  import Worked from '../Worked.svelte';
  import { KINDS, withoutPart, withPart, type Kind } from './parts';
  import Removal from './Removal.svelte';
  import SchemaField from './SchemaField.svelte';
  import { partsIn, schemaOf } from './schema';
  import Sketch from './Sketch.svelte';
  import { sketchOf } from './sketch';
  import { usesOf } from './uses';

  interface Props {
    editor: PlanEditor;
    plan: Plan;
    readonly: boolean;
    output: (id: string) => void;
    /** A finding that led here: the part it is about is chosen. */
    about?: Pick<Finding, 'path' | 'at'>;
  }

  /** What is here: the sketch, and the part that was chosen in a sheet beside it. */
  let { editor, plan, readonly, output, about }: Props = $props();

  interface Chosen {
    path: string;
    schema: string;
  }
  let adding = $state(false);
  const hasTransfer = $derived(plan.site.inverter?.transfer !== undefined);

  const workings = $derived(editor.reading?.workings ?? []);
  const sketch = $derived(sketchOf(plan, workings));
  const findings = $derived((editor.reading?.findings ?? []).filter((one) => one.dismissed === undefined));
  let chosen = $state<Chosen>(
    untrack(() => (about && foundBy(about)) ?? { path: 'site/battery', schema: 'BatteryBank' }),
  );
  $effect(() => {
    const found = about;
    untrack(() => {
      const there = found && foundBy(found);
      if (there) choose(there);
    });
  });
  const wrong = $derived(
    new Set(
      sketch.boxes.filter((box) => findings.some((one) => stands(one, box.path))).map((box) => box.path),
    ),
  );
  const guesses = $derived(
    Object.entries(plan.origins)
      .filter(([, origin]) => origin.kind === 'GUESS')
      .map(([path]) => path),
  );
  const guessed = $derived(
    new Set(
      sketch.boxes.map((box) => box.path).filter((box) => guesses.some((path) => path.startsWith(`${box}/`))),
    ),
  );
  const place = $derived(placeOf(plan, chosen.path));
  const part = $derived(place && (atPlace(plan, place) as Record<string, unknown> | undefined));
  const name = $derived(
    typeof part?.name === 'string' ? part.name : chosen.path === 'site/mainCable' ? 'Main cable' : 'the site',
  );
  const schema = $derived(schemaOf(chosen.schema));
  const id = $derived(typeof part?.id === 'string' ? part.id : '');
  const charging = $derived(plan.program.charging.findIndex((one) => one.controller === id));
  const here = $derived(findings.filter((one) => stands(one, chosen.path)));
  const sums = $derived(
    workings.filter(
      (one) =>
        one.path.startsWith(chosen.path) || (id !== '' && one.path.startsWith(`program/charging/${id}`)),
    ),
  );
  const isListed = $derived(
    chosen.path.split('/').length === 3 && KINDS.some((kind) => chosen.path.startsWith(`site/${kind.list}/`)),
  );

  /** The part on the sketch that a finding is about; what is said of the AC side stands at the inverter. */
  function foundBy(finding: Pick<Finding, 'path' | 'at'>): Chosen | undefined {
    const box =
      sketch.boxes.find((one) => stands(finding, one.path)) ??
      (finding.path.startsWith('program/ac')
        ? sketch.boxes.find((one) => one.path === 'site/inverter')
        : undefined);
    return box && { path: box.path, schema: box.schema };
  }

  function stands(finding: Pick<Finding, 'path' | 'at'>, path: string): boolean {
    const last = path.split('/').at(-1);
    return (
      finding.path.startsWith(`${path}/`) ||
      finding.path === path ||
      (finding.at !== '' && finding.at === last)
    );
  }

  function add(kind: Kind) {
    const added = withPart(plan, kind);
    editor.take(added.plan, `${added.name} is new`);
    choose({ path: `site/${kind.list}/${added.id}`, schema: kind.schema });
    adding = false;
  }

  let leaving = $state(false);
  const list = $derived(chosen.path.split('/')[1] ?? '');
  const uses = $derived(leaving ? usesOf(plan, list, id) : []);
  const others = $derived(partsIn(list, plan).filter((one) => one.id !== id));

  /** Asks what is to stand where it is named; goes at once where it is named nowhere. */
  function remove() {
    if (usesOf(plan, list, id).length > 0) leaving = true;
    else removeFrom(plan);
  }

  function removeFrom(plan: Plan) {
    editor.take(withoutPart(plan, chosen.path), `${name} is gone`);
    choose({ path: 'site/battery', schema: 'BatteryBank' });
  }

  function choose(next: Chosen) {
    leaving = false;
    chosen = next;
  }
</script>

<div class="grid grid-cols-1 xl:grid-cols-[minmax(0,1fr)_25rem]">
  <section class="min-w-0 px-4 py-4 md:px-6" aria-labelledby="system">
    <div class="flex flex-wrap items-center gap-x-4 gap-y-2">
      <h2 id="system">What is here</h2>
      <p class="grow text-soft">Choose a part to change it.</p>
      <Action onclick={() => choose({ path: 'site/mainCable', schema: 'Cable' })}>Main cable</Action>
      {#if !readonly}
        <Action onclick={() => (adding = !adding)} aria-expanded={adding}>Add a part…</Action>
      {/if}
    </div>
    {#if adding}
      <div
        class="mt-2 flex flex-wrap gap-2 border-l-4 border-ink bg-raised p-3"
        role="group"
        aria-label="Add a part"
      >
        {#each KINDS.filter((kind) => kind.list !== 'acSources' || hasTransfer) as kind (kind.list + kind.schema)}
          <Action onclick={() => add(kind)}>{kind.name}</Action>
        {/each}
        {#if !hasTransfer}
          <p class="self-center text-sm text-soft">
            A generator comes to an inverter with a transfer switch, and here is none.
          </p>
        {/if}
      </div>
    {/if}
    <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
    <div class="mt-3 overflow-x-auto" role="region" aria-label="Sketch, scrolls sideways" tabindex="0">
      <Sketch
        {sketch}
        chosen={chosen.path}
        {wrong}
        {guessed}
        choose={(path, kind) => choose({ path, schema: kind })}
        {output}
      />
    </div>
    <p class="mt-1 text-sm text-soft">
      ◇ where voltage is read · ? a number nobody has confirmed · blade: contact of an output, leading to it;
      open where a rule decides · volts on a wire: what its cable drops at the worst
    </p>
  </section>
  <aside
    class="border-rule bg-raised px-4 py-4 max-xl:border-t md:px-6 xl:sticky xl:top-0 xl:max-h-screen xl:overflow-y-auto xl:border-l"
    aria-label="The chosen part"
  >
    {#if part && place}
      <div class="flex items-start justify-between gap-3">
        <h2>{name}</h2>
        {#if !readonly && isListed}<Action onclick={remove}>Remove</Action>{/if}
      </div>
      {#if leaving}
        <Removal {plan} {id} {name} {uses} {others} done={removeFrom} leave={() => (leaving = false)} />
      {/if}
      {#each here as finding, i (i)}<FindingLine {finding} editor={readonly ? undefined : editor} />{/each}
      {#key chosen.path}
        <div class="mt-3 grid grid-cols-[8rem_1fr] items-start gap-x-3 gap-y-1">
          {#each Object.entries(schema.properties ?? {}) as [key, field] (key)}
            {#if key !== 'id' && key !== 'kind' && key !== 'batteries'}
              <SchemaField
                {editor}
                {plan}
                schema={field}
                field={key}
                value={part[key]}
                path="{chosen.path}/{key}"
                required={schema.required?.includes(key) ?? false}
                of={name}
                {readonly}
              />
            {/if}
          {/each}
        </div>
        {#if charging >= 0}
          <h3 class="mt-5">Charging</h3>
          <div class="mt-1 grid grid-cols-[8rem_1fr] items-start gap-x-3 gap-y-1">
            {#each Object.entries(schemaOf('ChargeProgram').properties ?? {}) as [key, field] (key)}
              {#if key !== 'controller'}
                <SchemaField
                  {editor}
                  {plan}
                  schema={field}
                  field={key}
                  value={(plan.program.charging[charging] as unknown as Record<string, unknown>)[key]}
                  path="program/charging/{id}/{key}"
                  required={key !== 'details'}
                  of={name}
                  {readonly}
                />
              {/if}
            {/each}
          </div>
        {/if}
      {/key}
      {#if sums.length > 0}
        <h3 class="mt-5">Worked out</h3>
        <Worked {editor} workings={sums} {readonly} />
      {/if}
    {:else}
      <p class="text-soft">This part is gone. Choose another on the sketch.</p>
    {/if}
  </aside>
</div>
