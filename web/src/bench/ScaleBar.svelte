<script lang="ts">
  import { ticks } from '../lib/gauge/pegs';
  import NumberChip from '../lib/sentence/NumberChip.svelte';
  import { fixed } from '../lib/sentence/quantity';
  import { AXIS, EDGE, type Scale } from './scale';
  import ScaleLevels from './ScaleLevels.svelte';

  /** One scale with all its levels and one thumb; where a battery answers it only shows. */
  interface Props {
    scale: Scale;
    /** Takes where the thumb was moved to, in the unit that is shown; absent where a battery answers. */
    turn?: (to: number) => void;
  }
  let { scale, turn }: Props = $props();

  let wide = $state(600);
  let dragged = $state<number>();
  const value = $derived(dragged ?? scale.value);
  const x = $derived(
    (at: number) =>
      EDGE +
      ((Math.min(scale.high, Math.max(scale.low, at)) - scale.low) / (scale.high - scale.low)) *
        (wide - 2 * EDGE),
  );
  const falling = $derived(scale.levels.filter((one) => one.acts === 'FALLING'));
  const rising = $derived(scale.levels.filter((one) => one.acts !== 'FALLING'));
  const digits = $derived(scale.unit === 'V' ? 2 : 0);
</script>

<div class="grid grid-cols-[minmax(0,1fr)_auto] items-center gap-x-6 max-sm:grid-cols-1">
  <div class="relative" bind:clientWidth={wide}>
    <svg class="block h-[7.25rem] w-full" role="group" aria-label="Levels on the scale, in {scale.unit}">
      <path d="M{EDGE} {AXIS}H{wide - EDGE}" stroke="var(--ink)" stroke-width="2" />
      {#each ticks(scale.low, scale.high) as tick (tick)}
        <path d="M{x(tick)} {AXIS - 4}v8" stroke="var(--ink-soft)" />
      {/each}
      <ScaleLevels {scale} levels={rising} {value} {x} {wide} above />
      <ScaleLevels {scale} levels={falling} {value} {x} {wide} />
      <path d="M{x(value)} 30V94" stroke="var(--focus)" stroke-width="3" />
    </svg>
    {#if turn}
      <input
        class="thumb"
        type="range"
        min={scale.low}
        max={scale.high}
        step={scale.step}
        {value}
        aria-label="{scale.name}, thumb"
        aria-valuetext="{fixed(value, digits)} {scale.unit}"
        oninput={(event) => (dragged = event.currentTarget.valueAsNumber)}
        onchange={(event) => {
          turn(event.currentTarget.valueAsNumber);
          dragged = undefined;
        }}
      />
    {/if}
  </div>
  <div
    class="big max-w-44 text-right max-sm:order-first max-sm:flex max-sm:max-w-none max-sm:items-baseline max-sm:gap-3"
  >
    {#if turn}
      <NumberChip
        chip={{
          kind: 'number',
          field: scale.knobs[0] ?? '',
          label: scale.name,
          value,
          unit: scale.unit,
          step: scale.unit === 'V' ? 0.1 : scale.step,
          bigStep: scale.unit === 'V' ? 0.5 : scale.step * 5,
          least: -1000,
          most: 10000,
        }}
        value={Math.round(value * 100) / 100}
        change={turn}
      />
    {:else}<span class="number text-[1.75rem] font-bold">{fixed(value, digits)} {scale.unit}</span>{/if}
    <p class="mt-2 text-sm text-soft">{scale.name}</p>
  </div>
</div>

<style>
  .thumb {
    position: absolute;
    inset: 40px 0 auto 0;
    width: 100%;
    height: 44px;
    margin: 0;
    appearance: none;
    background: transparent;
    cursor: ew-resize;
  }
  .thumb::-webkit-slider-runnable-track {
    height: 100%;
    background: transparent;
  }
  .thumb::-moz-range-track {
    background: transparent;
  }
  .thumb::-webkit-slider-thumb {
    appearance: none;
    margin-top: 6px;
    width: 32px;
    height: 32px;
    border: 3px solid var(--focus);
    border-radius: 50%;
    background: color-mix(in srgb, var(--paper-raised) 55%, transparent);
  }
  .thumb::-moz-range-thumb {
    box-sizing: border-box;
    width: 32px;
    height: 32px;
    border: 3px solid var(--focus);
    border-radius: 50%;
    background: color-mix(in srgb, var(--paper-raised) 55%, transparent);
  }
  .big :global(.chip) {
    min-height: 3rem;
    font-size: 1.75rem;
    line-height: 2.75rem;
  }
</style>
