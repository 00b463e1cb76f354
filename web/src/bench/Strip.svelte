<script lang="ts">
  import type { Event, Trace } from '../lib/api/api';
  import { fixed } from '../lib/sentence/quantity';
  import { bandOf } from '../lib/tape/band';

  /** The voltage of the last minutes of a live bench, with its sag and rebound, and a mark where a contact moved. */
  let { trace, events }: { trace: Trace; events: Event[] } = $props();

  const WIDE = 600;
  const HIGH = 110;
  const end = $derived(trace.fromSeconds + trace.bucketSeconds * trace.usedWatts.length);
  const band = $derived(bandOf(trace.lowBusVolts, trace.highBusVolts, WIDE, HIGH, 8, 0.05));
  const ends = $derived(band ? `${fixed(band.least, 2)} to ${fixed(band.most, 2)} V` : 'not known yet');
  const moved = $derived(
    events.filter((one) => one.seconds >= trace.fromSeconds && ['OPENED', 'CLOSED'].includes(one.kind)),
  );
</script>

<figure class="mt-2">
  <figcaption class="flex justify-between text-sm text-soft">
    <span>Bus voltage from <span class="number">{fixed(trace.fromSeconds, 0)} s</span></span>
    <span class="number">{ends}</span>
  </figcaption>
  <svg
    class="block h-28 w-full border-y border-rule"
    viewBox="0 0 {WIDE} {HIGH}"
    preserveAspectRatio="none"
    role="img"
    aria-label="Bus voltage {ends}"
  >
    {#each moved as one, i (i)}
      {@const at = ((one.seconds - trace.fromSeconds) / (end - trace.fromSeconds)) * WIDE}
      <path
        d="M{at} 0V{HIGH}"
        stroke={one.kind === 'OPENED' ? 'var(--danger)' : 'var(--rule-strong)'}
        stroke-dasharray={one.kind === 'OPENED' ? '' : '3 3'}
        vector-effect="non-scaling-stroke"
      />
    {/each}
    <path
      d={band?.path ?? ''}
      fill="var(--battery-soft)"
      stroke="var(--battery)"
      stroke-width="1.4"
      vector-effect="non-scaling-stroke"
    />
  </svg>
  <p class="text-sm text-soft">A red line: a contact opened; a dashed one: it closed.</p>
</figure>
