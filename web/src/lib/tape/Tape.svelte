<script lang="ts">
  import type { SeasonAnswer } from '../api/api';
  import { chargeChart, powerChart, voltageChart, type Line } from './tape';
  import { theme } from '../shell/theme.svelte';

  interface Props {
    answer: SeasonAnswer;
    lines: Line[];
    zone: string;
    /** Without the state of charge, and lower. */
    compact?: boolean;
    choose: (from: number, to: number) => void;
    hover: (seconds: number | undefined) => void;
  }
  let { answer, lines, zone, compact = false, choose, hover }: Props = $props();

  let width = $state(0);
  let volts = $state<HTMLElement>();
  let charge = $state<HTMLElement>();
  let power = $state<HTMLElement>();

  $effect(() => {
    if (!width || !volts || !power || theme.dark === undefined) return;
    const common = { width, zone, choose, hover, start: Date.parse(answer.start) / 1000 };
    const plots = [
      voltageChart(volts, answer, lines, compact ? 210 : 220, common),
      powerChart(power, answer, compact ? 130 : 150, common),
    ];
    if (charge) plots.push(chargeChart(charge, answer, 84, common));
    return () => plots.forEach((plot) => plot.destroy());
  });
</script>

<div bind:clientWidth={width} class="w-full overflow-hidden">
  <p class="px-2 text-sm text-soft">Battery voltage, V</p>
  <div bind:this={volts} class={compact ? 'h-[210px]' : 'h-[220px]'}></div>
  {#if !compact}
    <p class="px-2 text-sm text-soft">State of charge, %</p>
    <div bind:this={charge} class="h-[84px]"></div>
  {/if}
  <p class="flex flex-wrap gap-x-4 px-2 text-sm text-soft">
    Power, W
    <span><i class="key bg-load"></i>used</span>
    <span><i class="key bg-diverted"></i>diverted</span>
    <span><i class="key bg-battery"></i>to battery</span>
    <span><i class="key hatch border border-sun"></i>thrown away</span>
    <span><i class="key hatch-ink"></i>unserved</span>
  </p>
  <div bind:this={power} class={compact ? 'h-[130px]' : 'h-[150px]'}></div>
</div>

<style>
  .key {
    display: inline-block;
    width: 1.1rem;
    height: 0.7rem;
    margin-right: 0.35rem;
  }
</style>
