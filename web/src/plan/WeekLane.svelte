<script lang="ts">
  import type { OutputFigures } from '../lib/api/api';

  /** The next seven simulated days of an output: filled while its contact is closed. */
  let { figures, end }: { figures: OutputFigures; end: number } = $props();

  const WEEK = 7 * 86_400;
  const WIDE = 700;
  const span = $derived(Math.min(WEEK, end));
  const x = $derived((seconds: number) => (Math.min(seconds, span) / span) * WIDE);
  const closed = $derived.by(() => {
    const edges = [...figures.changeSeconds.filter((at) => at < span), span];
    const spans: { from: number; to: number }[] = [];
    let is = figures.startsClosed;
    let from = 0;
    for (const at of edges) {
      if (is && at > from) spans.push({ from, to: at });
      is = !is;
      from = at;
    }
    return spans;
  });
  const days = $derived(Array.from({ length: Math.floor(span / 86_400) }, (_, i) => (i + 1) * 86_400));
</script>

<svg
  viewBox="0 0 {WIDE} 12"
  preserveAspectRatio="none"
  class="mt-2 h-3 w-full"
  role="img"
  aria-label="Simulated: closed for {closed.length} spans within the next {Math.round(span / 86_400)} days"
>
  <path d="M0 6H{WIDE}" stroke="var(--rule-strong)" stroke-width="1" />
  {#each closed as one (one.from)}
    <rect x={x(one.from)} width={Math.max(1.5, x(one.to) - x(one.from))} height="12" fill="var(--ink)" />
  {/each}
  {#each days as day (day)}<path d="M{x(day)} 0V12" stroke="var(--paper)" stroke-width="2" />{/each}
</svg>
