<script lang="ts">
  import type { Rating } from '../lib/api/api';
  import { believable } from '../lib/sentence/quantity';

  /** How much of what contact and conductors bear is used at the worst; beyond the mark is too much. */
  let { ratings }: { ratings: Rating[] } = $props();

  /** A bar shows up to half as much again as is borne. */
  const FULL = 1.5;
  const share = (one: Rating) => Math.min(FULL, one.used / Math.max(one.bears, 1e-9)) / FULL;
</script>

<ul class="mt-2 grid gap-y-1" aria-label="Ratings">
  {#each ratings as one (one.name)}
    {@const over = one.used > one.bears}
    <li class="grid grid-cols-[minmax(9rem,13rem)_1fr_auto] items-center gap-x-3 text-sm">
      <span class="text-soft">{one.name}</span>
      <svg viewBox="0 0 150 10" preserveAspectRatio="none" class="h-2.5 w-full" aria-hidden="true">
        <rect width="150" height="10" fill="var(--paper-sunk)" />
        <rect width={share(one) * 150} height="10" fill={over ? 'var(--danger)' : 'var(--battery)'} />
        <path d="M100 0V10" stroke="var(--ink)" stroke-width="2" />
      </svg>
      <span class="number {over ? 'font-bold text-danger' : ''}"
        >{believable(one.used)} of {believable(one.bears)} {one.unit}{over ? ', too much' : ''}</span
      >
    </li>
  {/each}
</ul>
