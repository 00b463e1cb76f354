<script lang="ts">
  import type { DailySpan, Plan } from '../../lib/api/api';
  import { MONTHS } from '../../lib/sentence/days';
  import { capital } from '../../lib/sentence/quantity';
  import type { Season } from '../../season/season.svelte';
  import DayCurve from './DayCurve.svelte';
  import { priceStretches, windowStretches, windowWords, type Stretch } from './windows';

  /** The windows of the AC side on a day of 24 hours, over the prices of the feeder and a mean day's sun and use. */
  let { season, plan }: { season: Season; plan: Plan } = $props();

  const rows = $derived(
    [
      { name: 'price', stretches: priceStretches(plan) },
      { name: 'window', stretches: windowStretches(plan.program.ac?.windows ?? []) },
    ].filter((row) => row.stretches.length > 0),
  );
  const share = (hours: number) => `${String((hours / 24) * 100)}%`;
  const clock = (hour: number) =>
    `${String(Math.floor(hour)).padStart(2, '0')}:${String(Math.round((hour % 1) * 60)).padStart(2, '0')}`;
  const days = (when: DailySpan) => {
    const parts = [
      (when.weekdays ?? []).map((day) => capital(day.slice(0, 3).toLowerCase())).join(', '),
      (when.months ?? []).map((month) => capital(MONTHS[month - 1] ?? '')).join(', '),
    ].filter(Boolean);
    return parts.length > 0 ? ` (${parts.join('; ')})` : '';
  };
  /** A letter is half an hour wide on the band of a sheet: what does not fit is told by its title. */
  const fits = (one: Stretch) => one.sign.length <= 2 * (one.to - one.from);
  const told = (one: Stretch) => `${clock(one.from)} to ${clock(one.to)}: ${one.says}`;
</script>

{#if rows.length > 0}
  <figure class="mt-2 mb-3" aria-label="Windows of the day">
    <DayCurve {season} />
    {#each rows as row (row.name)}
      <div class="grid grid-cols-[3.75rem_1fr] items-center">
        <span class="text-sm text-soft">{row.name}</span>
        <ul class="relative my-0.5 h-8">
          {#each row.stretches as one, i (i)}
            <li
              class="number absolute inset-y-0 truncate px-0.5 text-center text-sm leading-8 {one.look}"
              style:left={share(one.from)}
              style:width={share(one.to - one.from)}
              style:z-index={row.stretches.length - i}
              title={told(one)}
            >
              <span class="sr-only">{told(one)}</span><span aria-hidden="true"
                >{fits(one) ? one.sign : ''}</span
              >
            </li>
          {/each}
        </ul>
      </div>
    {/each}
    <div class="number ml-[3.75rem] flex justify-between text-sm text-soft" aria-hidden="true">
      {#each [0, 6, 12, 18, 24] as hour (hour)}<span>{hour}</span>{/each}
    </div>
    <figcaption class="mt-1 text-sm">
      <ul>
        {#each plan.program.ac?.windows ?? [] as window, i (i)}
          <li>
            <span class="number">{clock(window.when.fromHour)}–{clock(window.when.toHour)}</span>
            {windowWords(window)}{days(window.when)}
          </li>
        {/each}
      </ul>
    </figcaption>
  </figure>
{/if}
