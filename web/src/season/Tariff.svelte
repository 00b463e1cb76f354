<script lang="ts">
  import type { DaySummary, FeederFigures } from '../lib/api/api';
  import { fixed } from '../lib/sentence/quantity';

  /** What a feeder cost in a run, by price band, and by day or month. */
  let { feeder, days, name }: { feeder: FeederFigures; days: DaySummary[]; name: string } = $props();

  /** More days than these are told by month. */
  const MOST_DAYS = 31;

  const sum = (pick: (band: FeederFigures['bands'][number]) => number) =>
    feeder.bands.reduce((all, band) => all + pick(band), 0);
  const byTime = $derived.by(() => {
    const key = (day: DaySummary) => (days.length > MOST_DAYS ? day.date.slice(0, 7) : day.date);
    const costs: Record<string, number> = {};
    for (const day of days) costs[key(day)] = (costs[key(day)] ?? 0) + day.cost;
    return Object.entries(costs);
  });
</script>

{#snippet cells(taken: number, given: number, cost: number)}
  <td class="number py-1 pl-4 text-right">{fixed(taken, 1)} kWh</td>
  <td class="number py-1 pl-4 text-right">{fixed(given, 1)} kWh</td>
  <td class="number py-1 pl-4 text-right font-bold">{fixed(cost, 2)}</td>
{/snippet}

<section class="mt-4 max-w-3xl" aria-labelledby="tariff-{feeder.feeder}">
  <h2 id="tariff-{feeder.feeder}">{name}: what it cost</h2>
  <div class="overflow-x-auto">
    <table class="mt-1 w-full">
      <thead class="text-sm text-soft">
        <tr>
          <th class="py-1 text-left font-normal">band</th>
          {#each ['taken', 'given back', 'cost'] as head (head)}
            <th class="py-1 pl-4 text-right font-normal">{head}</th>
          {/each}
        </tr>
      </thead>
      <tbody>
        {#each feeder.bands as band, i (i)}
          <tr class="border-t border-rule">
            <th scope="row" class="py-1 text-left font-normal"
              >{band.hours}
              <span class="number text-sm text-soft"
                >{band.importPerKilowattHour} in, {band.exportPerKilowattHour} out</span
              ></th
            >
            {@render cells(band.importKilowattHours, band.exportKilowattHours, band.cost)}
          </tr>
        {/each}
        <tr class="border-t-2 border-rule-strong">
          <th scope="row" class="py-1 text-left">in all</th>
          {@render cells(
            sum((one) => one.importKilowattHours),
            sum((one) => one.exportKilowattHours),
            sum((one) => one.cost),
          )}
        </tr>
      </tbody>
    </table>
  </div>
  {#if byTime.length > 1}
    <details class="mt-2">
      <summary class="opens flex min-h-11 cursor-pointer items-center gap-x-3"
        >cost by {days.length > MOST_DAYS ? 'month' : 'day'}</summary
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
</section>
