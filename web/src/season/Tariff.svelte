<script lang="ts">
  import type { FeederFigures } from '../lib/api/api';
  import { fixed } from '../lib/sentence/quantity';
  import { listed } from '../lib/shell/listed';

  /** What a feeder cost in a run, by price band. */
  let { feeder, name }: { feeder: FeederFigures; name: string } = $props();

  const sum = (pick: (band: FeederFigures['bands'][number]) => number) =>
    feeder.bands.reduce((all, band) => all + pick(band), 0);
</script>

{#snippet cells(taken: number, given: number, cost: number)}
  <td class="number py-1 pl-4 text-right">{fixed(taken, 1)} kWh</td>
  <td class="number py-1 pl-4 text-right">{fixed(given, 1)} kWh</td>
  <td class="number py-1 pl-4 text-right font-bold">{fixed(cost, 2)}</td>
{/snippet}

<section class="mt-4 max-w-3xl" aria-labelledby="tariff-{feeder.feeder}">
  <h2 id="tariff-{feeder.feeder}">{name}: what it cost</h2>
  <div class="overflow-x-auto">
    <table {@attach listed} class="mt-1 w-full">
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
</section>
