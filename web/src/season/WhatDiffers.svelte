<script lang="ts">
  import type { Comparison } from '../lib/api/api';
  import Better from './Better.svelte';
  import { tells } from './better';

  /** What changed between two runs, and what that did. */
  let { comparison }: { comparison: Comparison } = $props();

  /** So many differences stand first. */
  const MOST_TOLD = 5;
  /** The figures whose difference is told, each with its sentence. */
  const told = $derived(
    comparison.figures.filter(tells).map((figure, i) => ({ figure, says: comparison.did[i] ?? '' })),
  );
</script>

<section
  class="grid gap-x-8 gap-y-4 px-4 py-4 md:px-6 xl:grid-cols-2"
  aria-label="What changed, and what it did"
>
  <div>
    <h2>What changed</h2>
    <ul class="mt-1 list-disc pl-5">
      {#each comparison.changed as says (says)}<li>{says}</li>{:else}
        <li>Nothing in the plan; the weather, the battery’s age or the load may differ.</li>{/each}
    </ul>
  </div>
  <div>
    <h2>What it did</h2>
    <ul class="mt-1 list-disc pl-5">
      {#each told.slice(0, MOST_TOLD) as { figure, says } (figure.what)}<li>
          {says}
          <Better {figure} />
        </li>{:else}
        <li>Nothing that counts: all figures are as before, nearly.</li>{/each}
    </ul>
    {#if comparison.did.length > MOST_TOLD}
      <p class="text-sm text-soft">and {comparison.did.length - MOST_TOLD} more, in bold below</p>
    {/if}
  </div>
</section>
