<script lang="ts">
  import type { RunSummary } from '../lib/api/api';

  /** What every picture of a run says of itself. */
  let { run }: { run: RunSummary } = $props();
</script>

<p class="px-2 py-2 text-sm text-soft">
  Simulated: planning figures, no proof of safety.{#if run.status === 'CHATTERING'}
    <strong class="text-danger">An output chatters; counts after that depend on the bound put on it.</strong>
  {/if}
</p>
