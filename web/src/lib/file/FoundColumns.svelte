<script lang="ts">
  import type { FileFound } from '../api/api';
  import { believable } from '../sentence/quantity';

  /** What lies in each column that is taken: its way over time, and its least, mean and most. */
  let { found }: { found: FileFound } = $props();

  function way(sketch: number[], lowest: number, highest: number): string {
    const span = highest - lowest || 1;
    return sketch.map((one, i) => `${i ? 'L' : 'M'}${i} ${22 - ((one - lowest) / span) * 20}`).join('');
  }
</script>

<ul class="mt-2 max-w-3xl">
  {#each found.columns as one (one.what)}
    <li
      class="grid min-h-10 grid-cols-[11rem_1fr] items-center gap-x-4 border-t border-rule md:grid-cols-[11rem_12rem_1fr]"
    >
      <span>{one.what}</span>
      <svg
        viewBox="0 0 {Math.max(1, one.sketch.length - 1)} 24"
        class="h-6 w-full"
        preserveAspectRatio="none"
        aria-hidden="true"
        ><path
          d={way(one.sketch, Math.min(...one.sketch), Math.max(...one.sketch))}
          fill="none"
          stroke="var(--ink)"
          vector-effect="non-scaling-stroke"
        /></svg
      >
      <span class="number text-sm max-md:col-span-2"
        >{believable(one.lowest)} to {believable(one.highest)}
        {one.unit}, mean {believable(one.mean)}{one.unknown > 0
          ? `; ${Math.max(1, Math.round(one.unknown * 100))} % not measured`
          : ''}</span
      >
    </li>
  {/each}
</ul>
{#each found.notes as note (note)}<p class="text-sm">{note}</p>{/each}
