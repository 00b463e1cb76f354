<script lang="ts">
  import Gauge from '../lib/gauge/Gauge.svelte';
  import { pegsOf, REFERENCE_CELSIUS, type Peg, type Unit } from '../lib/gauge/pegs';
  import { fixed, written } from '../lib/sentence/quantity';
  import Action from '../lib/shell/Action.svelte';
  import { FIELD } from '../lib/shell/fieldLook';
  import FindingLine from './FindingLine.svelte';
  import LevelsTable from './LevelsTable.svelte';
  import type { PlanEditor } from './planEditor.svelte';
  import { placeOf } from '../lib/plan/planPath';
  import ScaleFrom12 from './ScaleFrom12.svelte';

  /** All thresholds of all devices on one axis, to be dragged, stepped or typed; what that makes wrong stands beside it. */
  let { editor, readonly }: { editor: PlanEditor; readonly: boolean } = $props();

  let unit = $state<Unit>('V');
  let celsius = $state(REFERENCE_CELSIUS);
  let ruler = $state<'cell' | '12'>('12');
  let scaling = $state(false);
  const plan = $derived(editor.plan);
  const gauge = $derived(editor.reading?.gauge);
  const levels = $derived(plan ? pegsOf(gauge, plan, unit, celsius) : { pegs: [], pairs: [] });
  const sorted = $derived([...levels.pegs].sort((a, b) => b.stands - a.stands));
  const paths = $derived(new Set((gauge?.pegs ?? []).map((peg) => peg.path)));
  const findings = $derived(
    (editor.reading?.findings ?? []).filter((one) => one.dismissed === undefined && paths.has(one.path)),
  );
  const wrong = $derived(new Set(findings.map((one) => one.path)));
  const units = [
    ['V', 'Voltage'],
    ['%', 'State of charge'],
    ['°C', 'Temperature'],
  ] as const;

  function move(peg: Peg, value: number) {
    if (!plan) return;
    const place = placeOf(plan, peg.path);
    if (!place) return;
    const said = (one: unknown) => written(Number(one) * peg.shownTimes, peg.unit);
    editor.set(
      place,
      value / peg.shownTimes,
      (before, after) => `${peg.term} of ${peg.name} ${said(before)} → ${said(after)}`,
    );
  }
</script>

{#if plan}
  <div class="grid grid-cols-1 xl:grid-cols-[minmax(0,1.15fr)_minmax(26rem,1fr)]">
    <section class="px-4 py-4 md:px-6" aria-labelledby="gauge">
      <div class="flex flex-wrap items-end gap-x-6 gap-y-2">
        <h2 id="gauge" class="sr-only">Levels</h2>
        <a class="flex min-h-11 items-center underline" href="#/site/{editor.site}/plan/outputs"
          >Back to the outputs</a
        >
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
            >battery at {fixed(celsius, 0)} °C
            <input
              class="min-h-11 w-36 accent-ink"
              type="range"
              min="-30"
              max="50"
              step="1"
              bind:value={celsius}
              aria-valuetext="{celsius} °C"
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
          <span class="number text-ink">{fixed(gauge.usableToVolts, 1)} V</span>; all loads together make it
          sag
          <span class="number text-ink">{fixed(gauge.sagAtOnceVolts, 2)} V</span> at once and
          <span class="number text-ink">{fixed(gauge.sagVolts, 2)} V</span> in the end, in the cold.
          {#if celsius !== REFERENCE_CELSIUS}<strong class="text-ink">Shown at {celsius} °C.</strong>{/if}
        </p>
      {/if}
      {#if scaling}<ScaleFrom12 {editor} close={() => (scaling = false)} />{/if}
      <div class="mt-2">
        <Gauge {gauge} {plan} {unit} {celsius} {ruler} {wrong} large move={readonly ? undefined : move} />
      </div>
    </section>
    <section class="border-rule px-4 py-4 md:px-6 xl:border-l" aria-labelledby="numbers">
      <h2 id="numbers">The same in numbers</h2>
      <p class="sr-only" role="status">{findings.length} findings at levels</p>
      {#each findings as finding, i (i)}
        <FindingLine {finding} editor={readonly ? undefined : editor} at={finding.at} />
      {/each}
      <LevelsTable {editor} {gauge} {unit} pegs={sorted} {wrong} {readonly} {move} />
    </section>
  </div>
{/if}
