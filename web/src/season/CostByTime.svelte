<script lang="ts">
  import type { DaySummary } from '../lib/api/api';
  import { fixed } from '../lib/sentence/quantity';

  /** What all feeders of a site cost together, by day; of a longer run by month. */
  let { days }: { days: DaySummary[] } = $props();

  const MOST_DAYS = 31;
  const byMonth = $derived(days.length > MOST_DAYS);
  const byTime = $derived.by(() => {
    const costs: Record<string, number> = {};
    for (const day of days) {
      const when = byMonth ? day.date.slice(0, 7) : day.date;
      costs[when] = (costs[when] ?? 0) + day.cost;
    }
    return Object.entries(costs);
  });
</script>

{#if byTime.length > 1}
  <details class="mt-2">
    <summary class="opens flex min-h-11 cursor-pointer items-center gap-x-3"
      >cost by {byMonth ? 'month' : 'day'}</summary
    >
    <dl class="max-w-sm">
      {#each byTime as [when, cost] (when)}
        <div class="flex justify-between border-b border-rule py-1">
          <dt class="number">{when}</dt>
          <dd class="number">{fixed(cost, 2)}</dd>
        </div>
      {/each}
    </dl>
  </details>
{/if}
