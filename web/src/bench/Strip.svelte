<script lang="ts">
  import type { Event, Trace } from '../lib/api/api';
  import { fixed } from '../lib/sentence/quantity';

  /** The voltage of the last minutes of a live bench, with its sag and rebound, and a mark where a contact moved. */
  let { trace, events }: { trace: Trace; events: Event[] } = $props();

  const WIDE = 600;
  const HIGH = 110;
  const end = $derived(trace.fromSeconds + trace.bucketSeconds * trace.usedWatts.length);
  const there = $derived(
    trace.lowBusVolts
      .map((low, i) => ({ low, high: trace.highBusVolts[i] ?? low, i }))
      .filter((one) => typeof one.low === 'number'),
  );
  const least = $derived(Math.min(...there.map((one) => one.low)));
  const most = $derived(Math.max(...there.map((one) => one.high), least + 0.05));
  const x = $derived((i: number) => ((i + 0.5) / trace.lowBusVolts.length) * WIDE);
  const y = $derived((volts: number) => 8 + (1 - (volts - least) / (most - least)) * (HIGH - 16));
  const path = $derived(
    there.length === 0
      ? ''
      : `M${there.map((one) => `${x(one.i).toFixed(1)} ${y(one.high).toFixed(1)}`).join('L')}L` +
          `${[...there]
            .reverse()
            .map((one) => `${x(one.i).toFixed(1)} ${y(one.low).toFixed(1)}`)
            .join('L')}z`,
  );
  const moved = $derived(
    events.filter((one) => one.seconds >= trace.fromSeconds && ['OPENED', 'CLOSED'].includes(one.kind)),
  );
</script>

<figure class="mt-2">
  <figcaption class="flex justify-between text-sm text-soft">
    <span>Bus voltage from <span class="number">{fixed(trace.fromSeconds, 0)} s</span></span>
    <span class="number">{fixed(least, 2)} to {fixed(most, 2)} V</span>
  </figcaption>
  <svg
    class="block h-28 w-full border-y border-rule"
    viewBox="0 0 {WIDE} {HIGH}"
    preserveAspectRatio="none"
    role="img"
    aria-label="Bus voltage between {fixed(least, 2)} and {fixed(most, 2)} V"
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
      d={path}
      fill="var(--battery-soft)"
      stroke="var(--battery)"
      stroke-width="1.4"
      vector-effect="non-scaling-stroke"
    />
  </svg>
  <p class="text-sm text-soft">A red line: a contact opened; a dashed one: it closed.</p>
</figure>
