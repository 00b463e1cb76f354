<script lang="ts">
  import type { Snippet } from 'svelte';
  import type { Plan } from '../lib/api/api';
  import Gauge from '../lib/gauge/Gauge.svelte';
  import { REFERENCE_CELSIUS, type Unit } from '../lib/gauge/pegs';
  import { fixed, written } from '../lib/sentence/quantity';
  import Action from '../lib/shell/Action.svelte';
  import { FIELD } from '../lib/shell/fieldLook';
  import { moveLevel } from './moveLevel';
  import type { PlanEditor } from './planEditor.svelte';
  import ScaleFrom12 from './ScaleFrom12.svelte';

  /** The gauge in full: volts, charge or degrees on its axis, at any temperature of the battery, each level to be dragged or stepped. */
  interface Props {
    editor: PlanEditor;
    plan: Plan;
    /** Paths of levels with something wrong. */
    wrong: Set<string>;
    readonly: boolean;
    unit?: Unit;
    celsius?: number;
    /** Output whose levels are emphasised. */
    emphasised?: string | undefined;
    /** What stands before its choices. */
    children?: Snippet;
  }
  let {
    editor,
    plan,
    wrong,
    readonly,
    unit = $bindable('V'),
    celsius = $bindable(REFERENCE_CELSIUS),
    emphasised,
    children,
  }: Props = $props();

  let ruler = $state<'cell' | '12'>('12');
  let scaling = $state(false);
  const gauge = $derived(editor.reading?.gauge);
  const units = [
    ['V', 'Voltage'],
    ['%', 'State of charge'],
    ['°C', 'Temperature'],
  ] as const;
</script>

<div class="flex flex-wrap items-end gap-x-6 gap-y-2">
  {@render children?.()}
  <fieldset class="flex">
    <legend class="sr-only">Axis</legend>
    {#each units as [one, word] (one)}
      <label
        class="-ml-px flex min-h-11 cursor-pointer items-center border border-rule-strong px-3 has-checked:bg-ink has-checked:text-paper has-focus-visible:outline-3 has-focus-visible:outline-focus"
      >
        <input class="sr-only" type="radio" name="axis" value={one} bind:group={unit} />{word}
      </label>
    {/each}
  </fieldset>
  {#if unit === 'V'}
    <label class="grid text-sm text-soft"
      >battery at {written(celsius, '°C')}
      <input
        class="min-h-11 w-36 accent-ink"
        type="range"
        min="-30"
        max="50"
        step="1"
        bind:value={celsius}
        aria-valuetext={written(celsius, '°C')}
      />
    </label>
    <label class="grid gap-1 text-sm text-soft"
      >second ruler
      <select class={FIELD} bind:value={ruler}>
        <option value="12">as a 12 V battery</option>
        <option value="cell">volts a cell</option>
      </select>
    </label>
    {#if !readonly}
      <Action onclick={() => (scaling = !scaling)} aria-expanded={scaling}>From 12 V numbers…</Action>
    {/if}
  {/if}
</div>
{#if unit === 'V' && gauge}
  <p class="mt-2 text-soft">
    Usable from <span class="number text-ink">{fixed(gauge.usableFromVolts, 1)} V</span> to
    <span class="number text-ink">{fixed(gauge.usableToVolts, 1)} V</span>; all loads together make it sag
    <span class="number text-ink">{fixed(gauge.sagAtOnceVolts, 2)} V</span> at once and
    <span class="number text-ink">{fixed(gauge.sagVolts, 2)} V</span> in the end, in the cold.
    {#if celsius !== REFERENCE_CELSIUS}<strong class="text-ink">Shown at {written(celsius, '°C')}.</strong
      >{/if}
  </p>
{/if}
{#if scaling}<ScaleFrom12 {editor} close={() => (scaling = false)} />{/if}
<div class="mt-2">
  <Gauge
    {gauge}
    {plan}
    {unit}
    {celsius}
    {ruler}
    {wrong}
    {emphasised}
    large
    move={readonly ? undefined : (peg, value) => moveLevel(editor, peg, value)}
  />
</div>
