<script lang="ts">
  import type { DaySummary, Plan, RunSummary } from '../lib/api/api';
  import { partName } from '../lib/shell/parts';
  import FindingLine from '../plan/FindingLine.svelte';
  import type { PlanEditor } from '../plan/planEditor.svelte';
  import Worked from '../plan/Worked.svelte';
  import Calendar from './Calendar.svelte';
  import Figures from './Figures.svelte';
  import LedgerTable from './LedgerTable.svelte';
  import LoadsServed from './LoadsServed.svelte';
  import OutputsDid from './OutputsDid.svelte';

  /** What stands behind a verdict, one part at a time. */
  interface Props {
    editor: PlanEditor;
    plan: Plan;
    /** The run that is over; none while the first one is made. */
    run: RunSummary | undefined;
    days: DaySummary[];
    choose: (day: number) => void;
    /** Whether the tape shows a part of the run only: what stands here is of the whole. */
    isPart: boolean;
  }
  let { editor, plan, run, days, choose, isPart }: Props = $props();

  const findings = $derived(run?.findings ?? []);
  const parts = $derived([
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
    {#if isPart}<p class="mb-2 text-sm text-soft">
        Of the whole run; what is shown is told above the tape.
      </p>{/if}
    {#if part === 'days'}
      <Calendar {days} {choose} />
    {:else if run && part === 'findings'}
      <section aria-labelledby="shown">
        <h2 id="shown">What the run shows</h2>
        {#each findings as finding, i (i)}
          <FindingLine {finding} at={partName(plan, finding.at)} />
        {/each}
      </section>
    {:else if run && part === 'energy'}
      <LedgerTable {run} {plan} />
    {:else if run && part === 'loads'}
      <LoadsServed {run} {plan} />
    {:else if run && part === 'outputs'}
      <OutputsDid {run} {plan} />
    {:else if run}
      <Figures {run} {plan} />
      {#if run.floor}
        <section class="mt-6" aria-label="Worked out from the run">
          <Worked {editor} workings={[run.floor]} readonly />
        </section>
      {/if}
    {/if}
  </div>
</div>
