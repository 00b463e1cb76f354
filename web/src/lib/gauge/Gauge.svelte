<script lang="ts">
  import type { Gauge, Plan } from '../api/api';
  import { fixed } from '../sentence/quantity';
  import GaugePeg from './GaugePeg.svelte';
  import { GaugeView } from './gaugeView.svelte';
  import { REFERENCE_CELSIUS, ticks, type Peg, type Unit } from './pegs';
  import Icon from '../shell/Icon.svelte';

  interface Props {
    gauge?: Gauge;
    plan: Plan;
    unit?: Unit;
    /** Battery temperature: compensated levels move with it. */
    celsius?: number;
    /** Output or charger whose levels are emphasised. */
    emphasised?: string;
    /** The large one, with names, tolerances, rulers and handles. */
    large?: boolean;
    /** The second ruler. */
    ruler?: 'cell' | '12';
    /** Paths of levels with something wrong. */
    wrong?: Set<string>;
    /** Takes a level that was moved; absent where nothing may be changed. */
    move?: (peg: Peg, value: number) => void;
  }
  let {
    gauge,
    plan,
    unit = 'V',
    celsius = REFERENCE_CELSIUS,
    emphasised,
    large = false,
    ruler = '12',
    wrong,
    move,
  }: Props = $props();

  const view = new GaugeView(() => ({ gauge, plan, unit, celsius, large, ruler, move }));
  let drawing = $state<SVGSVGElement>();
</script>

<div bind:clientWidth={view.across} class={large ? 'overflow-x-auto' : ''}>
  <svg
    bind:this={drawing}
    viewBox="0 0 {view.width} {view.height}"
    class="{large ? 'min-w-[520px]' : ''} w-full touch-pan-y"
    role={large ? 'group' : 'img'}
    aria-label="All thresholds on one axis, in {unit}"
  >
    <defs>
      <pattern id="wall" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <path d="M0 0V6" stroke="var(--danger)" stroke-width="1" opacity="0.35" />
      </pattern>
      <pattern id="shadow" width="5" height="5" patternUnits="userSpaceOnUse" patternTransform="rotate(-45)">
        <path d="M0 0V5" stroke="var(--load)" stroke-width="1.5" opacity="0.6" />
      </pattern>
    </defs>
    {#each view.walls as wall (wall.name)}
      {@const at = view.y(wall.value)}
      {@const to = wall.lower ? view.bottom + 20 : view.top - 20}
      <rect x="8" width={view.width - 16} y={Math.min(at, to)} height={Math.abs(to - at)} fill="url(#wall)" />
      <path d="M8 {at}H{view.width - 8}" stroke="var(--danger)" stroke-width={large ? 1.5 : 2} />
    {/each}
    {#each view.labelled as wall, i (wall.name)}
      <text x="12" y={view.labelAt[i]} font-size="12" fill="var(--danger)"
        >{wall.name} <tspan class="number">{fixed(wall.value, unit === 'V' ? 1 : 0)}</tspan></text
      >
    {/each}
    {#if view.shadowed && gauge && unit === 'V'}
      <rect
        x={view.axis - 12}
        width="24"
        y={view.y(view.shadowed.stands + gauge.sagVolts)}
        height={Math.max(0, view.y(view.shadowed.stands) - view.y(view.shadowed.stands + gauge.sagVolts))}
        fill="url(#shadow)"
      />
    {/if}
    {#each view.levels.pairs as pair (pair.key)}
      <rect
        x={view.axis - 4}
        width="8"
        y={view.y(Math.max(pair.low, pair.high))}
        height={Math.abs(view.y(pair.low) - view.y(pair.high))}
        fill={pair.high > pair.low ? 'var(--battery)' : 'var(--danger)'}
        opacity={emphasised === undefined || pair.key.startsWith(emphasised) ? 0.55 : 0.25}
      />
    {/each}
    <path d="M{view.axis} {view.top}V{view.bottom}" stroke="var(--ink)" stroke-width="2" />
    {#each ticks(view.low, view.high) as tick (tick)}
      <path d="M{view.axis - 4} {view.y(tick)}h8" stroke="var(--ink)" />
      {#if large && unit === 'V'}
        <path d="M{view.width - 60} {view.y(tick)}h8" stroke="var(--ink-soft)" />
      {/if}
    {/each}
    {#if large && unit === 'V' && gauge}
      <path d="M{view.width - 60} {view.top}V{view.bottom}" stroke="var(--ink-soft)" />
      {#each ticks(view.low * view.toRuler, view.high * view.toRuler) as tick (tick)}
        <text
          class="number"
          x={view.width - 48}
          y={view.y(tick / view.toRuler) + 4}
          font-size="12"
          fill="var(--ink-soft)">{tick}</text
        >
      {/each}
      <text x={view.width - 60} y="12" font-size="12" fill="var(--ink-soft)"
        >{ruler === 'cell' ? 'V a cell' : 'as 12 V'}</text
      >
    {/if}
    {#each [['falling', view.fallingAt, -1], ['rising', view.risingAt, 1]] as const as [sense, at, direction] (sense)}
      {#each view[sense] as peg, i (peg.path)}
        <GaugePeg
          {view}
          {peg}
          {direction}
          {unit}
          {large}
          at={at[i] ?? 0}
          bad={wrong?.has(peg.path) ?? false}
          dim={emphasised !== undefined && peg.at !== emphasised}
          movable={move !== undefined}
          {drawing}
        />
      {/each}
    {/each}
    {#if view.levels.pegs.length === 0}
      <text x={view.axis + 12} y={view.height / 2} font-size="15" fill="var(--ink-soft)"
        >no level in {unit} here</text
      >
    {/if}
  </svg>
</div>
{#if large}
  <ul class="mt-1 flex flex-wrap justify-center gap-x-4 text-sm text-soft">
    <li><Icon sign="falls" /> acts when falling</li>
    <li><Icon sign="rises" /> when rising</li>
    <li><Icon sign="holds" /> held</li>
    <li><Icon sign="hollow" /> hollow: signals only</li>
  </ul>
{/if}

<style>
  /* A rim of paper keeps a number readable where a line runs behind it. */
  text {
    paint-order: stroke;
    stroke: var(--paper);
    stroke-width: 3px;
    stroke-linejoin: round;
  }
</style>
