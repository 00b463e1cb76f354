<script lang="ts">
  import { pegsOf, REFERENCE_CELSIUS, type Unit } from '../lib/gauge/pegs';
  import FindingLine from './FindingLine.svelte';
  import FullGauge from './FullGauge.svelte';
  import { moveLevel } from './moveLevel';
  import LevelsTable from './LevelsTable.svelte';
  import type { PlanEditor } from './planEditor.svelte';

  /** All thresholds of all devices on one axis, to be dragged, stepped or typed; what that makes wrong stands beside it. */
  let { editor, readonly }: { editor: PlanEditor; readonly: boolean } = $props();

  let unit = $state<Unit>('V');
  let celsius = $state(REFERENCE_CELSIUS);
  const plan = $derived(editor.plan);
  const gauge = $derived(editor.reading?.gauge);
  const levels = $derived(plan ? pegsOf(gauge, plan, unit, celsius) : { pegs: [], pairs: [] });
  const sorted = $derived([...levels.pegs].sort((a, b) => b.stands - a.stands));
  const paths = $derived(new Set((gauge?.pegs ?? []).map((peg) => peg.path)));
  const findings = $derived(
    (editor.reading?.findings ?? []).filter((one) => one.dismissed === undefined && paths.has(one.path)),
  );
  const wrong = $derived(new Set(findings.map((one) => one.path)));
</script>

{#if plan}
  <div class="grid grid-cols-1 xl:grid-cols-[minmax(0,1.15fr)_minmax(26rem,1fr)]">
    <section class="px-4 py-4 md:px-6" aria-labelledby="gauge">
      <h2 id="gauge" class="sr-only">Levels</h2>
      <FullGauge {editor} {plan} {wrong} {readonly} bind:unit bind:celsius>
        <a class="flex min-h-11 items-center underline" href="#/site/{editor.site}/plan/outputs"
          >Back to the outputs</a
        >
      </FullGauge>
    </section>
    <section class="border-rule px-4 py-4 md:px-6 xl:border-l" aria-labelledby="numbers">
      <h2 id="numbers">The same in numbers</h2>
      <p class="sr-only" role="status">{findings.length} findings at levels</p>
      {#each findings as finding, i (i)}
        <FindingLine {finding} editor={readonly ? undefined : editor} at={finding.at} />
      {/each}
      <LevelsTable
        {editor}
        {gauge}
        {unit}
        pegs={sorted}
        {wrong}
        {readonly}
        move={(peg, value) => moveLevel(editor, peg, value)}
      />
    </section>
  </div>
{/if}
