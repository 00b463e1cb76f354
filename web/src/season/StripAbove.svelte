<script lang="ts">
  import type { Trace } from '../lib/api/api';
  import { fixed, minute } from '../lib/sentence/quantity';
  import { bandOf } from '../lib/tape/band';
  import BandPicture from '../lib/tape/BandPicture.svelte';

  /** What the tape shows as a strip above, while the tape itself is out of sight: it leads back to it. */
  interface Props {
    trace: Trace | undefined;
    /** When the run begins (ms). */
    start: number;
    zone: string;
  }
  let { trace, start, zone }: Props = $props();

  const WIDE = 600;
  const HIGH = 40;
  const band = $derived(trace && bandOf(trace.lowBatteryVolts, trace.highBatteryVolts, WIDE, HIGH, 2, 0.1));
  const at = $derived((seconds: number) => minute(start + seconds * 1000, zone));
  let gone = $state(false);

  $effect(() => {
    const tape = document.getElementById('tape');
    if (!trace || !tape) return;
    // Scrolled past, and not only left below.
    const seen = new IntersectionObserver(([one]) => {
      gone = one !== undefined && !one.isIntersecting && one.boundingClientRect.top < 0;
    });
    seen.observe(tape);
    return () => seen.disconnect();
  });
</script>

<div class="no-print sticky top-0 z-10 h-0">
  {#if gone && band && trace}
    <button
      class="absolute inset-x-0 top-0 flex h-14 items-center gap-4 border-b-2 border-rule-strong bg-paper px-4 text-left md:px-6"
      aria-label="Back to the tape"
      onclick={() => document.getElementById('tape')?.scrollIntoView({ block: 'start' })}
    >
      <span class="shrink-0 text-sm max-md:hidden"
        >{at(trace.fromSeconds)} to {at(
          trace.fromSeconds + trace.bucketSeconds * trace.usedWatts.length,
        )}</span
      >
      <BandPicture {band} wide={WIDE} high={HIGH} class="h-10 min-w-0 grow" />
      <span class="number shrink-0 font-bold">{fixed(band.least, 2)} to {fixed(band.most, 2)} V</span>
    </button>
  {/if}
</div>
