<script lang="ts">
  import { untrack } from 'svelte';
  import type { Trace } from '../api/api';
  import { bucketAt, readout, type Readout } from './readout';
  import Key from './Key.svelte';
  import LineKey from './LineKey.svelte';
  import { recordedAt } from './recorded';
  import type { Line } from './plot';
  import { unitRead } from '../sentence/quantity';
  import { theme } from '../shell/theme.svelte';
  import { chargeChart, powerChart, sourceChart, temperatureChart, voltageChart, type Shown } from './tape';

  interface Props {
    shown: Shown;
    /** A second run on the same axes. */
    second?: { trace: Trace; name: string } | undefined;
    lines: Line[];
    zone: string;
    /** Without state of charge, sources and temperature, and lower. */
    compact?: boolean;
    choose: (from: number, to: number) => void;
    hover: (seconds: number | undefined) => void;
    /** Where the cursor stands (s since the start of the run): every lane tells its value there. */
    hovered?: number | undefined;
    /** The level that the pointer or the focus is on: its line is drawn strong. */
    bright?: Pick<Line, 'output' | 'value' | 'percent'> | undefined;
    /** What is measured at the battery right now (V). */
    now?: number | undefined;
  }
  let { shown, second, lines, zone, compact = false, choose, hover, hovered, bright, now }: Props = $props();

  const KEYS = [
    ['bg-load', 'used'],
    ['bg-diverted', 'diverted'],
    ['bg-battery', 'to battery'],
    ['hatch border border-sun', 'thrown away'],
    ['hatch-ink', 'unserved'],
  ] as const;
  const read = $derived<Readout>(hovered === undefined ? {} : readout(shown.trace, hovered));

  const recorded = $derived(shown.recorded);
  const wasThere = $derived.by(() => {
    const bucket = hovered === undefined ? undefined : bucketAt(shown.trace, hovered);
    return recorded && bucket !== undefined ? recordedAt(recorded, bucket) : undefined;
  });

  let width = $state(0);
  let volts = $state<HTMLElement>();
  let charge = $state<HTMLElement>();
  let power = $state<HTMLElement>();
  let source = $state<HTMLElement>();
  let warmth = $state<HTMLElement>();
  const height = $derived({
    volts: compact ? 190 : 170,
    charge: 84,
    warmth: 48,
    source: 48,
    power: compact ? 120 : 130,
  });
  const hasSource = $derived(!compact && shown.trace.acSourceWatts.some((watts) => watts > 0));

  let drawn: ReturnType<typeof voltageChart>[] = [];
  const isLit = (line: Line) =>
    untrack(
      () =>
        bright !== undefined &&
        line.output === bright.output &&
        line.value === bright.value &&
        line.percent === bright.percent,
    );

  $effect(() => {
    if (!width || !volts || !power || theme.dark === undefined) return;
    const common = { width, zone, choose, hover, start: shown.start, isLit, now: () => untrack(() => now) };
    const plots = [
      voltageChart(volts, shown, second?.trace, lines, height.volts, common),
      powerChart(power, shown, height.power, common),
    ];
    if (charge) plots.push(chargeChart(charge, shown, second?.trace, lines, height.charge, common));
    if (source) plots.push(sourceChart(source, shown, height.source, common));
    if (warmth) plots.push(temperatureChart(warmth, shown, height.warmth, common));
    drawn = plots;
    return () => plots.forEach((plot) => plot.destroy());
  });

  // What is measured comes every few seconds: the axis makes room for it, and the charts stay.
  $effect(() => {
    void now;
    untrack(() => drawn[0]?.setData(drawn[0].data));
  });

  // A line that lights up is drawn anew; the charts stay.
  $effect(() => {
    void bright;
    untrack(() => drawn.forEach((plot) => plot.redraw(false)));
  });
</script>

{#snippet value(says: string | undefined)}{#if says}<span class="number ml-3 font-bold text-ink">{says}</span
    >{/if}{/snippet}

<div bind:clientWidth={width} class="w-full overflow-hidden">
  <p class="caption">
    Battery voltage, V{@render value(read.volts)}{#if second}<LineKey line="first">now</LineKey><LineKey
        line="second">{second.name}</LineKey
      >{/if}{#if recorded}<LineKey line="recorded">{recorded.says}{@render value(wasThere)}</LineKey>{/if}
    {#if now !== undefined}<span class="float-right">measured now{@render value(`${now.toFixed(2)} V`)}</span
      >{/if}
  </p>
  <div bind:this={volts} style:height="{height.volts}px"></div>
  {#if !compact}
    <p class="caption">State of charge, %{@render value(read.charge)}</p>
    <div bind:this={charge} style:height="{height.charge}px"></div>
    <p class="caption">Battery temperature, {unitRead('°C')}{@render value(read.celsius)}</p>
    <div bind:this={warmth} style:height="{height.warmth}px"></div>
  {/if}
  {#if hasSource}
    <p class="caption flex gap-x-4">
      <span>AC source, W{@render value(read.source)}</span>
      <Key look="border border-ac" says="feeder" />
      <Key look="bg-ac" says="generator" />
    </p>
    <div bind:this={source} style:height="{height.source}px"></div>
  {/if}
  <p class="caption flex flex-wrap gap-x-3">
    {#if read.power}
      <span>Power{@render value(read.power)}</span>
    {:else}
      Power, W
      {#each KEYS as [look, says] (says)}<Key {look} {says} />{/each}
    {/if}
  </p>
  <div bind:this={power} style:height="{height.power}px"></div>
</div>

<style>
  .caption {
    padding: 0 0.5rem;
    min-height: 1.25rem;
    font-size: 0.875rem;
    line-height: 1.25rem;
    color: var(--ink-soft);
  }
</style>
