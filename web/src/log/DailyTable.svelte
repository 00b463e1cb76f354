<script lang="ts">
  import type { DailyFigure } from '../lib/api/api';
  import { day, energy, fixed } from '../lib/sentence/quantity';
  import { listed } from '../lib/shell/listed';

  /** Days as they were written down, the newest first. */
  interface Props {
    days: DailyFigure[];
    /** Takes a day away; absent where nothing may be changed. */
    remove: ((one: DailyFigure) => void) | undefined;
  }
  let { days, remove }: Props = $props();
</script>

<div class="mt-4 overflow-x-auto">
  <table {@attach listed} class="text-sm">
    <thead
      ><tr class="text-right text-soft"
        ><th class="pr-4 text-left font-normal">day</th><th class="pr-4 font-normal">lowest, V</th><th
          class="pr-4 font-normal">highest, V</th
        ><th class="pr-4 font-normal">from arrays</th><th class="pr-4 font-normal">to loads</th><th></th></tr
      ></thead
    >
    <tbody>
      {#each [...days].reverse() as one (one.day)}
        <tr class="number border-t border-rule text-right">
          <td class="pr-4 text-left whitespace-nowrap">{day(one.day)}</td>
          <td class="pr-4">{fixed(one.lowestVolts, 2)}</td>
          <td class="pr-4">{one.highestVolts === undefined ? '–' : fixed(one.highestVolts, 2)}</td>
          <td class="pr-4">{one.inWattHours === undefined ? '–' : energy(one.inWattHours)}</td>
          <td class="pr-4">{one.outWattHours === undefined ? '–' : energy(one.outWattHours)}</td>
          <td
            >{#if remove}<button
                type="button"
                class="min-h-11 font-sans underline"
                aria-label="take away {day(one.day)}"
                onclick={() => remove(one)}>take away</button
              >{/if}</td
          >
        </tr>
      {/each}
    </tbody>
  </table>
</div>
