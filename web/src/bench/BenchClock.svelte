<script lang="ts">
  import { duration } from '../lib/sentence/quantity';
  import Action from '../lib/shell/Action.svelte';
  import { FIELD } from '../lib/shell/fieldLook';
  import { SPEEDS, type Bench } from './bench.svelte';

  /** How time goes on at the bench, and what answers there. */
  let { bench }: { bench: Bench } = $props();

  $effect(() => {
    if (!bench.running) return;
    const every = 200;
    const timer = setInterval(() => void bench.forward((bench.speed * every) / 1000), every);
    return () => clearInterval(timer);
  });
</script>

<div class="ml-auto flex flex-wrap items-center gap-2" data-took={Math.round(bench.took)}>
  <p class="number mr-2 text-lg font-bold" role="timer" aria-label="Time at the bench">
    {duration(Math.round(bench.seconds))}
  </p>
  <select
    class={FIELD}
    aria-label="What answers"
    value={bench.live ? 'live' : 'supply'}
    onchange={(event) => bench.setLive(event.currentTarget.value === 'live')}
  >
    <option value="supply">supply</option>
    <option value="live">live battery</option>
  </select>
  <Action onclick={() => (bench.running = !bench.running)} aria-pressed={bench.running}
    >{bench.running ? 'Pause' : 'Run'}</Action
  >
  <select class={FIELD} aria-label="How fast" bind:value={bench.speed}>
    {#each SPEEDS as speed (speed)}<option value={speed}>× {speed}</option>{/each}
  </select>
  <Action onclick={() => bench.toNext()}>To the next switching</Action>
  <Action onclick={() => bench.clear()}>Start again</Action>
</div>
