<script lang="ts">
  import Action from './Action.svelte';
  import type { Problem } from '../api/client';

  /** A call that failed: what, and a way to try again. */
  let { problem, retry }: { problem: Problem; retry?: () => void } = $props();
</script>

<div class="m-4 flex flex-wrap items-center gap-4 border-l-4 border-danger bg-raised p-4 md:m-6" role="alert">
  <div class="grow">
    <p>{problem.detail}</p>
    {#if problem.errors}
      <ul class="mt-1">
        {#each problem.errors as one (one.pointer)}
          <li><span class="number">{one.pointer.replace(/^\//, '')}</span>: {one.detail}</li>
        {/each}
      </ul>
    {/if}
  </div>
  {#if retry}<Action onclick={retry}>Try again</Action>{/if}
</div>
