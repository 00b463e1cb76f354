<script lang="ts">
  import type { DayOfLog } from '../lib/api/api';
  import { day, energy, fixed } from '../lib/sentence/quantity';
  import { listed } from '../lib/shell/listed';

  /** Each recorded day, the newest first. */
  let { days }: { days: DayOfLog[] } = $props();

  const newest = $derived([...days].reverse());
  const has = (field: keyof DayOfLog) => days.some((one) => one[field] !== undefined);
  const part = (value: number | undefined, write: (value: number) => string) =>
    value === undefined ? '–' : write(value);
</script>

<details class="border-t border-rule px-4 md:px-6">
  <summary class="opens flex min-h-11 cursor-pointer items-center font-bold">Day by day</summary>
  <div class="overflow-x-auto pb-4">
    <table {@attach listed} class="text-sm">
      <thead>
        <tr class="text-left text-soft">
          <th class="pr-4 font-normal">day</th>
          <th class="pr-4 text-right font-normal">known, h</th>
          <th class="pr-4 text-right font-normal">lowest, V</th>
          <th class="pr-4 text-right font-normal">highest, V</th>
          {#if has('lowestCharge')}<th class="pr-4 text-right font-normal">lowest, %</th>{/if}
          {#if has('arrayWattHours')}<th class="pr-4 text-right font-normal">arrays</th>{/if}
          {#if has('loadWattHours')}<th class="pr-4 text-right font-normal">loads</th>{/if}
          {#if has('inAmpereHours')}<th class="pr-4 text-right font-normal">in, Ah</th>
            <th class="pr-4 text-right font-normal">out, Ah</th>{/if}
          <th class="pr-4 text-right font-normal">absorption, h</th>
          {#if has('floatHours')}<th class="pr-4 text-right font-normal">float, h</th>{/if}
          {#if has('nightWatts')}<th class="text-right font-normal">by night, W</th>{/if}
        </tr>
      </thead>
      <tbody>
        {#each newest as one (one.date)}
          <tr class="number border-t border-rule text-right">
            <td class="py-1 pr-4 text-left whitespace-nowrap">{day(one.date)}</td>
            <td class="pr-4">{fixed(one.knownHours, 1)}</td>
            <td class="pr-4">{fixed(one.lowestVolts, 2)}</td>
            <td class="pr-4">{fixed(one.highestVolts, 2)}</td>
            {#if has('lowestCharge')}<td class="pr-4">{part(one.lowestCharge, (v) => fixed(v * 100, 0))}</td
              >{/if}
            {#if has('arrayWattHours')}<td class="pr-4">{part(one.arrayWattHours, energy)}</td>{/if}
            {#if has('loadWattHours')}<td class="pr-4">{part(one.loadWattHours, energy)}</td>{/if}
            {#if has('inAmpereHours')}<td class="pr-4">{part(one.inAmpereHours, (v) => fixed(v, 1))}</td>
              <td class="pr-4">{part(one.outAmpereHours, (v) => fixed(v, 1))}</td>{/if}
            <td class="pr-4">{fixed(one.absorptionHours, 1)}</td>
            {#if has('floatHours')}<td class="pr-4">{part(one.floatHours, (v) => fixed(v, 1))}</td>{/if}
            {#if has('nightWatts')}<td>{part(one.nightWatts, (v) => fixed(v, 0))}</td>{/if}
          </tr>
        {/each}
      </tbody>
    </table>
  </div>
</details>
