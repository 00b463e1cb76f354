<script lang="ts">
  import type { DailyFigure, DailyReplay, Plan } from '../lib/api/api';
  import { capital, day, fixed } from '../lib/sentence/quantity';
  import { partName } from '../lib/shell/parts';

  /** How many days are written down, how low it came, and which levels were reached. */
  interface Props {
    days: DailyFigure[] | undefined;
    reached: DailyReplay[];
    plan: Plan;
    today: string;
  }
  let { days, reached, plan, today }: Props = $props();

  /** What is reached every day or never says nothing; what falls comes first. */
  const told = $derived(
    reached
      .filter((one) => one.days.length > 0 && one.days.length < (days?.length ?? 0))
      .toSorted((one, other) => Number(other.isFalling) - Number(one.isFalling)),
  );
  const lowest = $derived((days ?? []).toSorted((one, other) => one.lowestVolts - other.lowestVolts)[0]);
</script>

<p class="text-3xl leading-9 font-bold" role="status">
  {!days
    ? 'Reading the days'
    : days.length === 0
      ? 'No day was written down yet.'
      : `${days.length} ${days.length === 1 ? 'day' : 'days'}, lowest ${fixed(lowest?.lowestVolts ?? 0, 2)} V on ${day(lowest?.day ?? today)}.`}
</p>
{#each told as one (one.output + one.term)}
  <p class="mt-1">
    {capital(partName(plan, one.output))}: {one.term}
    <span class="number">{fixed(one.volts, 2)} V</span> was reached on {one.days.length}
    {one.days.length === 1 ? 'day' : 'days'}, last {day(one.days.at(-1) ?? '')}
  </p>
{/each}
{#if told.length > 0}<p class="text-soft">For how long, daily figures cannot tell.</p>{/if}
