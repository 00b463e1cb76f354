<script lang="ts">
  import type { Gauge, Plan } from '../api/api';
  import { fixed } from '../sentence/quantity';
  import { GaugeView } from './gaugeView.svelte';
  import { lit } from './lit.svelte';
  import { REFERENCE_CELSIUS, ticks, type Peg, type Unit } from './pegs';

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

  const dim = (peg: Peg) => emphasised !== undefined && peg.at !== emphasised;
</script>

{#snippet side(pegs: Peg[], at: number[], direction: -1 | 1)}
  {#each pegs as peg, i (peg.path)}
    {@const bad = wrong?.has(peg.path)}
    {@const bright = lit.path === peg.path}
    {@const bold = bright || !dim(peg)}
    <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
    <g
      class="peg"
      opacity={bold ? 1 : 0.75}
      {...lit.by(peg.path)}
      role={large ? 'slider' : undefined}
      tabindex={large ? 0 : undefined}
      aria-label={large ? `${peg.term} of ${peg.name}` : undefined}
      aria-valuenow={large ? peg.value : undefined}
      aria-valuemin={large ? view.lowest : undefined}
      aria-valuemax={large ? view.most : undefined}
      aria-valuetext={large ? `${fixed(peg.value, view.digits)} ${unit}` : undefined}
      aria-readonly={large && !move ? 'true' : undefined}
      onfocus={() => (view.chosen = peg.path)}
      onkeydown={(event) => large && view.keys(event, peg)}
      onpointerdown={(event) => large && view.grab(event, peg)}
      onpointermove={(event) => large && view.drag(event, peg, drawing)}
      onpointerup={() => view.release()}
      onpointercancel={() => view.release()}
      data-level={peg.path}
    >
      {#if large && peg.tolerance > 0}
        <path
          d="M{view.axis + direction * 14} {view.y(peg.stands + peg.tolerance)}V{view.y(
            peg.stands - peg.tolerance,
          )}"
          stroke="var(--rule-strong)"
          stroke-width="5"
          opacity="0.6"
        />
      {/if}
      {#if peg.offsetVolts !== 0 && large}
        <path
          d="M{view.axis + direction * 22} {view.y(peg.stands)}V{view.y(
            peg.stands - peg.offsetVolts,
          )}h{direction * 6}"
          stroke="var(--sun)"
          stroke-width="2"
          fill="none"
        />
      {/if}
      <path
        d={view.shape(peg, view.axis + direction * (large ? 14 : 11))}
        fill={bright ? 'var(--focus)' : bad ? 'var(--danger)' : peg.switches ? 'var(--ink)' : 'var(--paper)'}
        stroke={bright ? 'var(--focus)' : bad ? 'var(--danger)' : 'var(--ink)'}
        stroke-width={bright ? 3 : 1.6}
      />
      <path
        d="M{view.axis + direction * (large ? 30 : 19)} {view.y(peg.stands)}L{view.axis +
          direction * (large ? 46 : 25)} {at[i]}"
        stroke="var(--rule-strong)"
        fill="none"
      />
      <text
        x={view.axis + direction * (large ? 52 : 27)}
        y={(at[i] ?? 0) + 4.5}
        text-anchor={direction < 0 ? 'end' : 'start'}
        fill={bright ? 'var(--focus)' : bad ? 'var(--danger)' : 'var(--ink)'}
        font-size={large ? 14 : 12.5}
        ><tspan class="number" font-weight={bold ? 700 : 400}>{fixed(peg.stands, view.digits)}</tspan
        >{#if large}
          <tspan dx="7">{bad ? '⚠ ' : ''}{peg.term}{view.named(peg)}</tspan>{/if}</text
      >
      {#if large}
        <rect
          class="grip"
          x={direction < 0 ? 8 : view.axis + 4}
          width={direction < 0 ? view.axis - 12 : view.width - view.axis - 66}
          y={(at[i] ?? 0) - view.least / 2}
          height={view.least}
          fill="transparent"
        />
        <rect
          x={view.axis + direction * 14 - 22}
          width="44"
          y={view.y(peg.stands) - 16}
          height="32"
          fill="transparent"
          class={move ? 'handle' : ''}
        />
      {/if}
      <title
        >{peg.term} of {peg.name}, {view.told(peg)}{peg.sensePoint
          ? `, read at ${peg.sensePoint}`
          : ''}{peg.tolerance > 0 ? `, ± ${fixed(peg.tolerance, 2)} V` : ''}{peg.offsetVolts !== 0
          ? `; its device reads ${fixed(peg.offsetVolts, 2)} V too high`
          : ''}</title
      >
    </g>
  {/each}
{/snippet}

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
    {@render side(view.falling, view.fallingAt, -1)}
    {@render side(view.rising, view.risingAt, 1)}
    {#if view.levels.pegs.length === 0}
      <text x={view.axis + 12} y={view.height / 2} font-size="15" fill="var(--ink-soft)"
        >no level in {unit} here</text
      >
    {/if}
  </svg>
</div>
{#if large}
  <ul class="mt-1 flex flex-wrap justify-center gap-x-4 text-sm text-soft">
    <li>▼ acts when falling</li>
    <li>▲ when rising</li>
    <li>▬ held</li>
    <li>△ hollow: signals only</li>
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
  .handle {
    cursor: ns-resize;
  }
  .peg {
    touch-action: none;
  }
  .peg:focus-visible {
    outline: none;
  }
  .peg:focus-visible .grip {
    stroke: var(--focus);
    stroke-width: 3;
  }
</style>
