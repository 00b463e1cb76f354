<script lang="ts">
  import type { Comparison } from '../lib/api/api';
  import Better from './Better.svelte';
  import { tells } from './better';

  /** What changed between two runs, and what that did. */
  let { comparison, name }: { comparison: Comparison; name: string } = $props();

  /** So many differences stand first. */
  const MOST_TOLD = 5;
  /** The figures whose difference is told, each with its sentence. */
  const told = $derived(
    comparison.figures.filter(tells).map((figure, i) => ({ figure, says: comparison.did[i] ?? '' })),
  );
  const [first, ...others] = $derived(comparison.changed);
</script>

<section class="px-4 pt-1 pb-3 md:px-6" aria-label="What changed, and what it did">
  {#each told.slice(0, MOST_TOLD) as { figure, says }, i (figure.what)}
    <p
      class={i === 0
        ? 'text-[1.375rem] leading-8 font-bold text-balance md:text-[1.875rem] md:leading-10'
        : 'mr-4 inline-block'}
    >
      {says}
      <Better {figure} />
    </p>
  {:else}
    <p class="text-[1.375rem] leading-8 font-bold md:text-[1.875rem] md:leading-10">
      Nothing that counts: all figures are as with {name}, nearly.
    </p>
  {/each}
  {#if told.length > MOST_TOLD}
    <p class="inline-block text-sm text-soft">and {told.length - MOST_TOLD} more, in bold under Both</p>
  {/if}
  {#if first === undefined}
    <p class="mt-1 text-soft">Nothing in the plan differs; the weather, the battery’s age or the load may.</p>
  {:else if others.length === 0}
    <p class="mt-1 text-soft">{first}</p>
  {:else}
    <details class="mt-1 text-soft">
      <summary class="opens flex min-h-11 cursor-pointer items-center"
        >{first}, and {others.length} more that {others.length === 1 ? 'differs' : 'differ'}</summary
      >
      <ul class="columns-1 gap-x-8 pb-2 pl-5 lg:columns-2">
        {#each others as says (says)}<li>{says}</li>{/each}
      </ul>
    </details>
  {/if}
  <p class="text-soft">Simulated: no proof of safety.</p>
</section>
