<svelte:options namespace="svg" />

<script lang="ts">
  import { fixed } from '../sentence/quantity';
  import type { GaugeView } from './gaugeView.svelte';
  import { lit } from './lit.svelte';
  import type { Peg, Unit } from './pegs';

  /** A level on the gauge: where it stands, how sure its device is of it, its number and, large, its name and its handle. */
  interface Props {
    view: GaugeView;
    peg: Peg;
    /** Left of the axis where it acts falling, right where it acts rising. */
    direction: -1 | 1;
    unit: Unit;
    large: boolean;
    /** Where its number stands (px), apart from its neighbours'. */
    at: number;
    /** Something is wrong with it. */
    bad: boolean;
    /** Another's levels are emphasised. */
    dim: boolean;
    movable: boolean;
    drawing: SVGSVGElement | undefined;
  }
  let { view, peg, direction, unit, large, at, bad, dim, movable, drawing }: Props = $props();

  const bright = $derived(lit.path === peg.path);
  const bold = $derived(bright || !dim);
</script>

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
  aria-readonly={large && !movable ? 'true' : undefined}
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
      direction * (large ? 46 : 25)} {at}"
    stroke="var(--rule-strong)"
    fill="none"
  />
  <text
    x={view.axis + direction * (large ? 52 : 27)}
    y={at + 4.5}
    text-anchor={direction < 0 ? 'end' : 'start'}
    fill={bright ? 'var(--focus)' : bad ? 'var(--danger)' : 'var(--ink)'}
    font-size={large ? 14 : 12.5}
    ><tspan class="number" font-weight={bold ? 700 : 400}>{fixed(peg.stands, view.digits)}</tspan>{#if large}
      <tspan dx="7">{bad ? '! ' : ''}{peg.term}{view.named(peg)}</tspan>{/if}</text
  >
  {#if large}
    <rect
      class="grip"
      x={direction < 0 ? 8 : view.axis + 4}
      width={direction < 0 ? view.axis - 12 : view.width - view.axis - 66}
      y={at - view.least / 2}
      height={view.least}
      fill="transparent"
    />
    <rect
      x={view.axis + direction * 14 - 22}
      width="44"
      y={view.y(peg.stands) - 16}
      height="32"
      fill="transparent"
      class={movable ? 'handle' : ''}
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
