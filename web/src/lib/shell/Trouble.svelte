<script lang="ts">
  import Action from './Action.svelte';
  import type { Problem } from '../api/client';

  /** A call that failed: what, and a way to try again. */
  let { problem, retry }: { problem: Problem; retry?: () => void } = $props();
</script>

<div class="m-4 flex flex-wrap items-center gap-4 border-l-4 border-danger bg-raised p-4 md:m-6" role="alert">
  <p class="grow">{problem.detail}</p>
  {#if retry}<Action onclick={retry}>Try again</Action>{/if}
</div>
