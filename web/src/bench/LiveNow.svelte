<script lang="ts">
  import type { BenchState } from '../lib/api/api';
  import { fixed } from '../lib/sentence/quantity';
  import Strip from './Strip.svelte';

  /** What the battery of a live bench is at, and its last minutes. */
  let { live, events }: { live: NonNullable<BenchState['live']>; events: BenchState['events'] } = $props();
</script>

<div
  class="grid items-center gap-x-6 border-b border-rule px-4 py-1 md:grid-cols-[auto_minmax(0,1fr)] md:px-6"
>
  <p class="number text-xl font-bold" aria-label="Battery now">
    {fixed(live.batteryVolts, 2)} V
    <span class="ml-3">{fixed(Math.round(live.batteryAmperes * 10) / 10 + 0, 1)} A</span>
    <span class="ml-3">{fixed(live.stateOfCharge * 100, 1)} %</span>
  </p>
  <Strip trace={live.trace} {events} />
</div>
