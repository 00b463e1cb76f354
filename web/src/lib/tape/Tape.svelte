<script lang="ts">
  import type { Trace } from '../api/api';
  import { theme } from '../shell/theme.svelte';
  import {
    chargeChart,
    powerChart,
    sourceChart,
    temperatureChart,
    voltageChart,
    type Line,
    type Shown,
  } from './tape';

  interface Props {
    shown: Shown;
    /** A second run on the same axes. */
    second?: Trace | undefined;
    lines: Line[];
    zone: string;
    /** Without state of charge, sources and temperature, and lower. */
    compact?: boolean;
    choose: (from: number, to: number) => void;
    hover: (seconds: number | undefined) => void;
  }
  let { shown, second, lines, zone, compact = false, choose, hover }: Props = $props();

  let width = $state(0);
  let volts = $state<HTMLElement>();
  let charge = $state<HTMLElement>();
  let power = $state<HTMLElement>();
  let source = $state<HTMLElement>();
  let warmth = $state<HTMLElement>();
  const hasSource = $derived(!compact && shown.trace.acSourceWatts.some((watts) => watts > 0));

  $effect(() => {
    if (!width || !volts || !power || theme.dark === undefined) return;
    const common = { width, zone, choose, hover, start: shown.start };
    const plots = [
      voltageChart(volts, shown, second, lines, compact ? 210 : 200, common),
      powerChart(power, shown, compact ? 130 : 160, common),
    ];
    if (charge) plots.push(chargeChart(charge, shown, second, lines, 96, common));
    if (source) plots.push(sourceChart(source, shown, 60, common));
    if (warmth) plots.push(temperatureChart(warmth, shown, 56, common));
    return () => plots.forEach((plot) => plot.destroy());
  });
</script>

<div bind:clientWidth={width} class="w-full overflow-hidden">
  <p class="px-2 text-sm text-soft">
    Battery voltage, V{#if second}<span class="ml-4"><i class="line"></i>first</span><span class="ml-4"
        ><i class="line second"></i>second</span
      >{/if}
  </p>
  <div bind:this={volts} class={compact ? 'h-[210px]' : 'h-[200px]'}></div>
  {#if !compact}
    <p class="px-2 text-sm text-soft">State of charge, %</p>
    <div bind:this={charge} class="h-[96px]"></div>
    <p class="px-2 text-sm text-soft">Battery temperature, °C</p>
    <div bind:this={warmth} class="h-[56px]"></div>
  {/if}
  {#if hasSource}
    <p class="flex gap-x-4 px-2 text-sm text-soft">
      AC source, W
      <span><i class="key border border-ac"></i>feeder</span>
      <span><i class="key bg-ac"></i>generator</span>
    </p>
    <div bind:this={source} class="h-[60px]"></div>
  {/if}
  <p class="flex flex-wrap gap-x-4 px-2 text-sm text-soft">
    Power, W
    <span><i class="key bg-load"></i>used</span>
    <span><i class="key bg-diverted"></i>diverted</span>
    <span><i class="key bg-battery"></i>to battery</span>
    <span><i class="key hatch border border-sun"></i>thrown away</span>
    <span><i class="key hatch-ink"></i>unserved</span>
  </p>
  <div bind:this={power} class={compact ? 'h-[130px]' : 'h-[160px]'}></div>
</div>

<style>
  .key {
    display: inline-block;
    width: 1.1rem;
    height: 0.7rem;
    margin-right: 0.35rem;
  }
  .line {
    display: inline-block;
    width: 1.4rem;
    margin-right: 0.35rem;
    border-top: 2px solid var(--battery);
    vertical-align: middle;
  }
  .second {
    border-top: 2px dashed var(--load);
  }
</style>
