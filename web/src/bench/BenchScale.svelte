<script lang="ts">
  import type { NamedSignal } from '../lib/api/api';
  import type { Bench } from './bench.svelte';
  import Knob from './Knob.svelte';
  import { voltages, type Scale } from './scale';
  import ScaleBar from './ScaleBar.svelte';

  /** The scale with its thumb: all voltages at once, each apart, or one knob; it stays in view. */
  interface Props {
    bench: Bench;
    scale: Scale;
    /** The scale of all voltages. */
    volts: Scale | undefined;
    /** The knob that stands on the scale; none where the voltages do. */
    knob: NamedSignal | undefined;
    turn: (knob: NamedSignal, to: number) => void;
    turnScale: (to: number) => void;
    /** Back from a knob to the voltages. */
    back: () => void;
  }
  let { bench, scale, volts, knob, turn, turnScale, back }: Props = $props();

  let split = $state(false);
  const stands = $derived(bench.state);
  const live = $derived(stands?.live);
  const signals = $derived(stands?.signals ?? []);
</script>

<section class="sticky top-0 z-10 border-b border-rule bg-paper px-4 pt-2 pb-1 md:px-6" aria-label="Scale">
  <ScaleBar {scale} {...knob || !live ? { turn: (to: number) => turnScale(to) } : {}} />
  <div class="no-print flex flex-wrap items-center gap-x-6 text-sm">
    {#if knob}
      <button class="min-h-8 underline" onclick={back}>Back to the voltage</button>
    {:else if !live && (volts?.knobs.length ?? 0) > 1}
      <button class="min-h-8 underline" aria-expanded={split} onclick={() => (split = !split)}
        >{split ? 'One voltage for all points' : `Split: ${volts?.knobs.length} points apart`}</button
      >
    {/if}
    <p class="ml-auto" role="status">{bench.notice}</p>
  </div>
  {#if split && !live && !knob}
    <div class="grid gap-x-8 pb-2 sm:grid-cols-2 lg:grid-cols-3">
      {#each voltages(signals) as point (point.id)}
        <Knob knob={point} value={stands?.knobs[point.id] ?? 0} turn={(to) => turn(point, to)} />
      {/each}
    </div>
  {/if}
</section>
