<script lang="ts">
  import { untrack } from 'svelte';
  import type { DaySummary, Plan, RunSummary } from '../lib/api/api';
  import { partName } from '../lib/shell/parts';
  import Trouble from '../lib/shell/Trouble.svelte';
  import { duration, minute } from '../lib/sentence/quantity';
  import FindingLine from '../plan/FindingLine.svelte';
  import type { PlanEditor } from '../plan/planEditor.svelte';
  import Worked from '../plan/Worked.svelte';
  import Calendar from './Calendar.svelte';
  import Figures from './Figures.svelte';
  import FiguresBoth from './FiguresBoth.svelte';
  import LedgerTable from './LedgerTable.svelte';
  import LoadsServed from './LoadsServed.svelte';
  import OutputsDid from './OutputsDid.svelte';
  import { PartOfRun } from './part.svelte';
  import type { SeasonRun } from './run.svelte';
  import type { Beside } from './secondRun.svelte';

  /** What stands behind a verdict, one part at a time: of what is shown of the run, or of all of it. */
  interface Props {
    editor: PlanEditor;
    plan: Plan;
    season: SeasonRun;
    /** The run that is over; none while the first one is made. */
    run: RunSummary | undefined;
    days: DaySummary[];
    choose: (day: number) => void;
    beside: Beside | undefined;
  }
  let { editor, plan, season, run, days, choose, beside }: Props = $props();

  const findings = $derived(run?.findings ?? []);
  const parts = $derived([
    ...(beside ? [['both', 'Both'] as const] : []),
    ...(findings.length > 0 ? [['findings', `Findings ${findings.length}`] as const] : []),
    ['days', 'Day by day'] as const,
    ...(run
      ? ([
          ['energy', 'Energy'],
          ['loads', 'Loads'],
          ['outputs', 'Outputs'],
          ['figures', 'Figures'],
        ] as const)
      : []),
  ]);
  let chosen = $state<string>();
  const part = $derived(parts.find(([key]) => key === chosen)?.[0] ?? parts[0]?.[0]);
  const ofWhole = $derived(part === 'both' || part === 'findings' || part === 'days');
  const span = $derived(season.spans.chosen);
  const counted = $derived(new PartOfRun(season.site));
  const held = $derived(span && counted.shown);
  const told = $derived(held ?? run);
  /** Of a run of several years the counts stand further apart. */
  const isHourly = $derived((run?.durationSeconds ?? 0) <= 366 * 86_400);
  const start = $derived(Date.parse(run?.start ?? ''));
  const at = $derived((seconds: number) => minute(start + seconds * 1000, plan.site.location.timeZone));

  $effect(() => {
    const [id, of, end] = [season.done?.work.id, span, run?.durationSeconds ?? 0];
    if (id) untrack(() => void counted.look(id, of && { from: of.from, to: Math.min(of.to, end) }));
  });
</script>

<div class="border-t border-rule">
  <div class="no-print flex overflow-x-auto px-2 md:px-4" role="group" aria-label="Behind the verdict">
    {#each parts as [key, name] (key)}
      <button
        class="min-h-11 border-b-4 px-3 whitespace-nowrap {part === key
          ? 'border-ink font-bold'
          : 'border-transparent'}"
        aria-pressed={part === key}
        onclick={() => (chosen = key)}>{name}</button
      >
    {/each}
  </div>
  <div class="max-w-5xl px-4 py-4 md:px-6">
    {#if span && ofWhole}
      <p class="mb-2 text-sm text-soft">Of the whole run.</p>
    {:else if held}
      <p class="mb-2 border-l-4 border-ink pl-3" role="status">
        <strong>Of these {duration(Math.round(held.toSeconds - held.fromSeconds))}</strong>:
        <span class="number">{at(held.fromSeconds)} to {at(held.toSeconds)}</span>{isHourly
          ? ', in whole hours'
          : ''}.
      </p>
    {/if}
    {#if counted.problem}<Trouble problem={counted.problem} />{/if}
    {#if part === 'days'}
      <Calendar {days} {choose} shown={span} />
    {:else if beside && part === 'both'}
      <FiguresBoth figures={beside.comparison.figures} heads={beside.heads} />
    {:else if run && part === 'findings'}
      <section aria-labelledby="shown">
        <h2 id="shown">What the run shows</h2>
        {#each findings as finding, i (i)}
          <FindingLine {finding} at={partName(plan, finding.at)} />
        {/each}
      </section>
    {:else if !run || !told || (span && !held)}
      {#if !counted.problem}<p class="text-soft" role="status">Counting it up</p>{/if}
    {:else if part === 'energy'}
      <LedgerTable ledger={told.ledger} {plan} />
    {:else if part === 'loads'}
      <LoadsServed run={told} {plan} />
    {:else if part === 'outputs'}
      <OutputsDid run={told} whole={held ? undefined : run} {plan} />
    {:else}
      <Figures
        run={told}
        {start}
        days={held
          ? days.filter((day) => day.startSeconds >= held.fromSeconds && day.startSeconds < held.toSeconds)
          : days}
        battery={held ? undefined : run.battery}
        {plan}
      />
      {#if run.floor && !held}
        <section class="mt-6" aria-label="Worked out from the run">
          <Worked {editor} workings={[run.floor]} readonly />
        </section>
      {/if}
    {/if}
  </div>
</div>
