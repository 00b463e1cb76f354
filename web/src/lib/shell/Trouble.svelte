<script lang="ts">
  import { untrack } from 'svelte';
  import Action from './Action.svelte';
  import type { Problem } from '../api/client';
  import { troubles } from './troubles.svelte';

  /** A call that failed: what, and a way to try again. What several places say alike is said by the first of them. */
  let { problem, retry }: { problem: Problem; retry?: () => void } = $props();

  const own = $derived({ detail: problem.detail, retry });
  $effect(() => {
    const mine = own;
    return untrack(() => troubles.add(mine));
  });
  const retries = $derived(troubles.retriesOf(problem.detail));
</script>

{#if troubles.isFirst(own)}
  <div
    class="m-4 flex flex-wrap items-center gap-4 border-l-4 border-danger bg-raised p-4 md:m-6"
    role="alert"
  >
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
    {#if retries.length > 0}<Action onclick={() => retries.forEach((again) => again())}>Try again</Action
      >{/if}
  </div>
{/if}
