<script lang="ts">
  import type { Finding, Plan, SensePoint } from '../../lib/api/api';
  import Action from '../../lib/shell/Action.svelte';
  import FindingLine from '../FindingLine.svelte';
  import type { PlanEditor } from '../planEditor.svelte';
  import { atPlace, placeOf } from '../../lib/plan/planPath';
  import Worked from '../Worked.svelte';
  import AcSection from './AcSection.svelte';
  import EarthingSection from './EarthingSection.svelte';
  import LineFrom from './LineFrom.svelte';
  import OffsetFrom from './OffsetFrom.svelte';
  import { kindAt, withoutPart } from './parts';
  import Removal from './Removal.svelte';
  import { partsIn } from './schema';
  import Themes from './Themes.svelte';
  import { usesOf } from './uses';

  /** A part of the site: what is wrong with it, its numbers, what is programmed for it, what can be worked out; and how it goes. */
  interface Props {
    editor: PlanEditor;
    plan: Plan;
    path: string;
    schema: string;
    findings: Finding[];
    readonly: boolean;
    /** It was taken away. */
    gone: () => void;
  }
  let { editor, plan, path, schema, findings, readonly, gone }: Props = $props();

  /** What has no name of its own. */
  const NAMELESS: Record<string, string> = { 'site/mainCable': 'Main cable', 'site/location': 'Where it is' };
  const place = $derived(placeOf(plan, path));
  const part = $derived(place && (atPlace(plan, place) as Record<string, unknown> | undefined));
  const name = $derived(typeof part?.name === 'string' ? part.name : (NAMELESS[path] ?? 'the site'));
  const id = $derived(typeof part?.id === 'string' ? part.id : '');
  const charging = $derived(plan.program.charging.find((one) => one.controller === id));
  const coupled = $derived((plan.site.acArrays ?? []).find((one) => one.array === id && id !== ''));
  const sums = $derived(
    (editor.reading?.workings ?? []).filter(
      (one) => one.path.startsWith(path) || (id !== '' && one.path.startsWith(`program/charging/${id}`)),
    ),
  );
  const kind = $derived(kindAt(path));

  let leaving = $state(false);
  const list = $derived(kind?.list ?? '');
  const uses = $derived(leaving ? usesOf(plan, list, id) : []);
  const others = $derived(partsIn(list, plan).filter((one) => one.id !== id));

  /** Asks what is to stand where it is named; goes at once where it is named nowhere. */
  function remove() {
    if (usesOf(plan, list, id).length > 0) leaving = true;
    else removeFrom(plan);
  }

  function removeFrom(plan: Plan) {
    editor.take(withoutPart(plan, path), `${name} is gone`);
    gone();
  }
  const isInverter = $derived(path === 'site/inverter');
  /** What else stands below what the part is: gone to from the top, for a sheet is longer than a screen. */
  const sections = $derived([
    ...(isInverter && plan.site.inverter?.transfer ? [['ac', 'AC side'] as const] : []),
    ...(isInverter ? [['earthing', 'Earthing'] as const] : []),
    ...(charging ? [['charging', 'Charging'] as const] : []),
    ...(sums.length > 0 ? [['sums', 'Worked out'] as const] : []),
  ]);
</script>

{#if part}
  <div class="flex items-start justify-between gap-3">
    <h2 tabindex="-1">{name}</h2>
    {#if !readonly && kind}<Action onclick={remove}>Remove</Action>{/if}
  </div>
  {#if leaving}
    <Removal {plan} {id} {name} {uses} {others} done={removeFrom} leave={() => (leaving = false)} />
  {/if}
  {#if sections.length > 1}
    <p class="flex flex-wrap gap-x-4 text-sm" role="group" aria-label="Parts of this sheet">
      {#each sections as [key, says] (key)}
        <button
          class="min-h-11 underline"
          onclick={() => document.getElementById(`sheet-${key}`)?.scrollIntoView({ block: 'start' })}
          >{says}</button
        >
      {/each}
    </p>
  {/if}
  {#each findings as finding, i (i)}<FindingLine {finding} editor={readonly ? undefined : editor} />{/each}
  <div class="mt-2">
    <Themes {editor} {plan} {schema} value={part} {path} of={name} {readonly} />
  </div>
  {#if path === 'site/location'}
    <datalist id="time-zones">
      {#each Intl.supportedValuesOf('timeZone') as zone (zone)}<option value={zone}></option>{/each}
    </datalist>
  {/if}
  {#if coupled}
    <h3 class="mt-4 border-t border-rule pt-3">Its inverter on the AC side</h3>
    <Themes
      {editor}
      {plan}
      schema="AcCoupledArray"
      value={coupled as unknown as Record<string, unknown>}
      path="site/acArrays/{id}"
      of={name}
      {readonly}
    />
  {/if}
  {#if !readonly && path.startsWith('site/sensePoints/')}
    <OffsetFrom {editor} {plan} point={part as unknown as SensePoint} />
  {/if}
  {#if !readonly && place && part.kind === 'feeder'}
    {#key path}<LineFrom {editor} {plan} path={place.join('/')} {name} />{/key}
  {/if}
  {#if isInverter && plan.site.inverter?.transfer}
    <AcSection {editor} {plan} {readonly} />
  {/if}
  {#if isInverter}<EarthingSection {editor} {plan} {readonly} />{/if}
  {#if charging}
    <h3 id="sheet-charging" class="mt-4 border-t border-rule pt-3">Charging</h3>
    <Themes
      {editor}
      {plan}
      schema="ChargeProgram"
      value={charging as unknown as Record<string, unknown>}
      path="program/charging/{id}"
      of={name}
      {readonly}
    />
  {/if}
  {#if sums.length > 0}
    <h3 id="sheet-sums" class="mt-4 border-t border-rule pt-3">Worked out</h3>
    <Worked {editor} workings={sums} {readonly} />
  {/if}
{:else}
  <h2 tabindex="-1">This part is gone</h2>
  <p class="text-soft">Choose another on the sketch.</p>
{/if}
