<script lang="ts">
  import type { Trace } from '../lib/api/api';
  import { duration } from '../lib/sentence/quantity';
  import { holds } from '../lib/tape/readout';

  /** What the part of a run that is shown holds, of one run or of two. */
  interface Props {
    /** From where it is shown, and to where (s since the start of the run). */
    from: number;
    to: number;
    trace: Trace;
    second?: Trace | undefined;
    /** What the second is called. */
    name?: string | undefined;
  }
  let { from, to, trace, second, name = 'the second' }: Props = $props();

  const MINUTE = 60;
  const HOUR = 3600;
  const unit = $derived(to - from < HOUR ? 1 : MINUTE);
  /** As long as what is shown is: to the second below an hour, to the minute above. */
  const long = $derived(Math.round((to - from) / unit) * unit);
</script>

<p class="mx-2 mt-1 border-l-4 border-ink pl-3" role="status">
  <strong>In these {duration(long)}</strong>: {holds(trace)}.
  {#if second}<br /><strong>With {name}</strong>: {holds(second)}.{/if}
</p>
