<script lang="ts">
  import type { Season } from '../../season/season.svelte';
  import { meanDay } from './meanDay';

  /** Sun and use of a mean day of the next simulated days, over a band of 24 hours. */
  let { season }: { season: Season } = $props();

  const HIGH = 40;
  const day = $derived(season.answer && meanDay(season.answer.view.trace));
  const most = $derived(Math.max(1, ...(day?.sun ?? []), ...(day?.used ?? [])));
  const y = $derived((watts: number) => HIGH - (watts / most) * (HIGH - 2));
  /** Steps, an hour wide each. */
  const steps = $derived((all: number[]) =>
    all.map((watts, hour) => `L${hour} ${y(watts)}H${hour + 1}`).join(''),
  );
</script>

{#if day}
  <div class="grid grid-cols-[3.75rem_1fr] items-end">
    <span class="text-sm leading-4 text-soft">sun<br />and use</span>
    <svg
      class="block h-10 w-full"
      viewBox="0 0 24 {HIGH}"
      preserveAspectRatio="none"
      role="img"
      aria-label="A mean day of the simulated {season.days} days: sun up to {Math.round(
        Math.max(...day.sun),
      )} W, use up to {Math.round(Math.max(...day.used))} W"
    >
      <path d="M0 {HIGH}{steps(day.sun)}V{HIGH}Z" fill="var(--sun)" fill-opacity="0.35" />
      <path
        d="M0 {y(day.used[0] ?? 0)}{steps(day.used)}"
        fill="none"
        stroke="var(--load)"
        stroke-width="2"
        vector-effect="non-scaling-stroke"
      />
    </svg>
  </div>
{/if}
