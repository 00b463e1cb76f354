<script lang="ts">
  import type { Course } from '../lib/api/api';
  import { dayWritten, daysLater } from '../lib/sentence/days';

  /** The charge over the days in each weather that was tried: a thin line each, those with a cut in red. */
  let { courses, from }: { courses: Course[]; from: string } = $props();

  const WIDE = 900;
  const HIGH = 260;
  const LEFT = 44;
  const BOTTOM = 26;
  const days = $derived(Math.max(1, ...courses.map((one) => one.lowestByDay.length)));
  const x = $derived((day: number) => LEFT + ((day + 0.5) / days) * (WIDE - LEFT));
  const y = (share: number) => 6 + (1 - share) * (HIGH - BOTTOM - 6);
  /** Cut ones last, so that they lie on top. */
  const sorted = $derived([...courses].sort((a, b) => Number(isCut(a)) - Number(isCut(b))));
  const cut = $derived(courses.filter(isCut).length);
  const every = $derived([1, 2, 7, 14, 30, 60].find((step) => days / step <= 8) ?? 90);

  function isCut(one: Course): boolean {
    return one.cutOnDay !== undefined;
  }
  const path = (one: Course) =>
    'M' + one.lowestByDay.map((share, day) => `${x(day).toFixed(1)} ${y(share).toFixed(1)}`).join('L');
</script>

<svg
  class="mt-3 block w-full max-w-5xl"
  viewBox="0 0 {WIDE} {HIGH}"
  role="img"
  aria-label="Lowest charge of each day in {courses.length} weathers; {cut} of them with a cut, in red"
>
  {#each [0, 25, 50, 75, 100] as mark (mark)}
    <path d="M{LEFT} {y(mark / 100)}H{WIDE}" stroke="var(--rule)" />
    <text x={LEFT - 6} y={y(mark / 100) + 4} text-anchor="end" class="number fill-soft text-[12px]"
      >{mark} %</text
    >
  {/each}
  {#each sorted as one, i (i)}
    <path
      d={path(one)}
      fill="none"
      stroke={isCut(one) ? 'var(--danger)' : 'var(--battery)'}
      stroke-width={isCut(one) ? 1.4 : 1}
      opacity={isCut(one) ? 0.85 : 0.55}
    />
    {#if one.cutOnDay !== undefined}
      <circle
        cx={x(one.cutOnDay)}
        cy={y(one.lowestByDay[one.cutOnDay] ?? 0)}
        r="3.5"
        fill="var(--danger)"
        stroke="var(--paper)"
      />
    {/if}
  {/each}
  {#each Array.from({ length: Math.ceil(days / every) }, (_, i) => i * every) as day (day)}
    <text x={x(day)} y={HIGH - 8} text-anchor="middle" class="number fill-soft text-[12px]"
      >{dayWritten(daysLater(from, day)).replace(/ \d+$/, '')}</text
    >
  {/each}
</svg>
<p class="text-sm text-soft">
  Lowest charge of each day, a line a weather{#if cut > 0}; red: a critical load is cut, first at the dot{/if}.
</p>
