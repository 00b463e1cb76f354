<script lang="ts">
  import type { BenchState } from '../lib/api/api';
  import { duration, fixed } from '../lib/sentence/quantity';
  import { happened } from '../lib/tape/events';

  /** What happened at the bench, the newest first, and what the battery is at where one answers. */
  interface Props {
    stands: BenchState;
    /** What each part is called, by its id. */
    names: Record<string, string>;
  }
  let { stands, names }: Props = $props();

  const live = $derived(stands.live);
  const events = $derived([...stands.events].reverse());
  /** Seconds as they are counted by hand; what comes later is said in hours. */
  const instantAt = (seconds: number) =>
    seconds < 600 ? `${fixed(seconds, 1)} s` : duration(Math.round(seconds));
</script>

<section class="min-w-0 px-4 py-3 md:px-6" aria-labelledby="printed">
  <h2 id="printed">What happened</h2>
  <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
  <ol class="tape mt-2" aria-live="polite" aria-label="Printed" tabindex="0">
    {#each events as event, i (events.length - i)}
      <li class="border-b border-dashed border-rule-strong py-1.5">
        <span class="number">{instantAt(event.seconds)}</span>
        <strong>{names[event.subject] ?? event.subject} {happened(event.kind)}</strong>
        <span class="block text-sm text-soft">{event.reason}</span>
      </li>
    {:else}<li class="text-soft">
        Nothing has switched yet. {live ? 'Turn a knob' : 'Move the thumb'}, or let time go on.
      </li>{/each}
  </ol>
</section>

<style>
  .tape {
    max-height: 34rem;
    overflow-y: auto;
  }
</style>
