<script lang="ts">
  import type { Gauge, Plan } from '../api/api';
  import { fixed, stepped } from '../sentence/quantity';
  import { pegsOf, REFERENCE_CELSIUS, spread, ticks, type Peg, type Unit } from './pegs';

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

  let across = $state(0);
  const width = $derived(large ? Math.max(520, across) : 360);
  const least = $derived(large ? 24 : 17);
  const levels = $derived(pegsOf(gauge, plan, unit, celsius));
  const falling = $derived(levels.pegs.filter((peg) => peg.acts === 'FALLING'));
  const rising = $derived(levels.pegs.filter((peg) => peg.acts !== 'FALLING'));
  const height = $derived(Math.max(large ? 560 : 460, 40 + least * Math.max(falling.length, rising.length)));
  const top = 20;
  const bottom = $derived(height - 20);
  const axis = $derived(large ? Math.round(width * 0.44) : width / 2);
  const walls = $derived((gauge?.walls ?? []).filter((wall) => wall.unit === unit));
  const all = $derived([...levels.pegs.map((peg) => peg.stands), ...walls.map((wall) => wall.value)]);
  // While a peg is dragged the axis stays; else it would run away under the pointer.
  let held = $state<{ low: number; high: number }>();
  const span = $derived(Math.max(...all) - Math.min(...all) || 1);
  const low = $derived(held?.low ?? (unit === '%' ? 0 : Math.min(...all) - span * 0.06));
  const high = $derived(held?.high ?? (unit === '%' ? 100 : Math.max(...all) + span * 0.06));
  const y = $derived((value: number) => bottom - ((value - low) / (high - low)) * (bottom - top));
  const fallingAt = $derived(spreadOf(falling));
  const risingAt = $derived(spreadOf(rising));
  const step = $derived(unit === 'V' ? 0.1 : 1);
  const bigStep = $derived(unit === 'V' ? 0.5 : 5);
  const most = $derived(unit === 'V' ? 1000 : unit === '%' ? 100 : 90);
  const lowest = $derived(unit === '°C' ? -50 : 0);
  const digits = $derived(unit === 'V' ? 2 : 0);
  const perRuler = $derived(ruler === 'cell' ? 1 : (gauge?.cellsOf12Volts ?? 6));
  const toRuler = $derived(perRuler / (gauge?.cellsInSeries ?? 6));
  const labelled = $derived(large ? walls : walls.filter((wall) => wall.name.startsWith('battery')));
  const labelAt = $derived(
    spread(
      labelled.map((wall) => y(wall.value) + (wall.lower ? 13 : -5)),
      15,
      12,
      height - 4,
    ),
  );
  let chosen = $state<string>();
  let drawing = $state<SVGSVGElement>();
  let dragged = $state<{ path: string; y: number; value: number }>();
  const shadowed = $derived(levels.pegs.find((peg) => peg.path === chosen && peg.acts === 'FALLING'));

  function spreadOf(pegs: Peg[]): number[] {
    return spread(
      pegs.map((peg) => y(peg.stands)),
      least,
      top,
      bottom,
    );
  }

  function shape(peg: Peg, x: number): string {
    const at = y(peg.stands);
    const r = large ? 9 : 7;
    if (peg.acts === 'FALLING') return `M${x - r} ${at - r + 1}h${2 * r}l${-r} ${2 * r - 2}z`;
    if (peg.acts === 'RISING') return `M${x - r} ${at + r - 1}h${2 * r}l${-r} ${2 - 2 * r}z`;
    return `M${x - r} ${at - 3}h${2 * r}v6h${-2 * r}z`;
  }

  const dim = (peg: Peg) => emphasised !== undefined && peg.at !== emphasised;
  /** Of whom it is, as far as there is room, and whether nobody has confirmed it. */
  function named(peg: Peg): string {
    const guess = plan.origins[peg.path]?.kind === 'GUESS' ? ' ?' : '';
    const room = (peg.acts === 'FALLING' ? axis : width - axis - 60) - 52 - 50;
    const most = Math.floor(room / 6.8) - peg.term.length - 3;
    const name = peg.name.length > most ? `${peg.name.slice(0, Math.max(1, most - 1))}…` : peg.name;
    return ` · ${name}${guess}`;
  }

  const told = (peg: Peg) => `${fixed(peg.stands, digits)} ${unit}`;

  function step_(peg: Peg, by: number) {
    move?.(peg, stepped(peg.value, by, lowest, most));
  }

  function keys(event: KeyboardEvent, peg: Peg) {
    const direction = { ArrowUp: 1, ArrowRight: 1, ArrowDown: -1, ArrowLeft: -1 }[event.key];
    if (!direction || event.ctrlKey || event.metaKey || event.altKey) return;
    event.preventDefault();
    step_(peg, direction * (event.shiftKey ? bigStep : step));
  }

  function grab(event: PointerEvent, peg: Peg) {
    chosen = peg.path;
    if (!move || event.button !== 0) return;
    held = { low, high };
    dragged = { path: peg.path, y: event.clientY, value: peg.value };
    (event.currentTarget as Element).setPointerCapture(event.pointerId);
  }

  /** By how far the pointer has gone, so that a peg can be taken by its label too. */
  function drag(event: PointerEvent, peg: Peg) {
    if (dragged?.path !== peg.path || !drawing || !move) return;
    const perPixel = (height / drawing.getBoundingClientRect().height) * ((high - low) / (bottom - top));
    const value = dragged.value + (dragged.y - event.clientY) * perPixel;
    const kept = stepped(Math.round(value / step) * step, 0, lowest, most);
    if (kept !== peg.value) move(peg, kept);
  }

  function release() {
    dragged = undefined;
    held = undefined;
  }
</script>

{#snippet side(pegs: Peg[], at: number[], direction: -1 | 1)}
  {#each pegs as peg, i (peg.path)}
    {@const bad = wrong?.has(peg.path)}
    <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
    <g
      class="peg"
      opacity={dim(peg) ? 0.8 : 1}
      role={large ? 'slider' : undefined}
      tabindex={large ? 0 : undefined}
      aria-label={large ? `${peg.term} of ${peg.name}` : undefined}
      aria-valuenow={large ? peg.value : undefined}
      aria-valuemin={large ? lowest : undefined}
      aria-valuemax={large ? most : undefined}
      aria-valuetext={large ? `${fixed(peg.value, digits)} ${unit}` : undefined}
      aria-readonly={large && !move ? 'true' : undefined}
      onfocus={() => (chosen = peg.path)}
      onkeydown={(event) => large && keys(event, peg)}
      onpointerdown={(event) => large && grab(event, peg)}
      onpointermove={(event) => large && drag(event, peg)}
      onpointerup={release}
      onpointercancel={release}
      data-level={peg.path}
    >
      {#if large && peg.tolerance > 0}
        <path
          d="M{axis + direction * 14} {y(peg.stands + peg.tolerance)}V{y(peg.stands - peg.tolerance)}"
          stroke="var(--rule-strong)"
          stroke-width="5"
          opacity="0.6"
        />
      {/if}
      {#if peg.offsetVolts !== 0 && large}
        <path
          d="M{axis + direction * 22} {y(peg.stands)}V{y(peg.stands - peg.offsetVolts)}h{direction * 6}"
          stroke="var(--sun)"
          stroke-width="2"
          fill="none"
        />
      {/if}
      <path
        d={shape(peg, axis + direction * 14)}
        fill={bad ? 'var(--danger)' : peg.switches ? 'var(--ink)' : 'var(--paper)'}
        stroke={bad ? 'var(--danger)' : 'var(--ink)'}
        stroke-width="1.6"
      />
      <path
        d="M{axis + direction * (large ? 30 : 24)} {y(peg.stands)}L{axis + direction * (large ? 46 : 36)} {at[
          i
        ]}"
        stroke="var(--rule-strong)"
        fill="none"
      />
      <text
        x={axis + direction * (large ? 52 : 40)}
        y={(at[i] ?? 0) + 4.5}
        text-anchor={direction < 0 ? 'end' : 'start'}
        fill={bad ? 'var(--danger)' : 'var(--ink)'}
        font-size={large ? 14 : 13}
        ><tspan class="number" font-weight={dim(peg) ? 400 : 700}>{fixed(peg.stands, digits)}</tspan>
        {bad ? '⚠ ' : ''}{peg.term}{large ? named(peg) : ''}</text
      >
      {#if large}
        <rect
          class="grip"
          x={direction < 0 ? 8 : axis + 4}
          width={direction < 0 ? axis - 12 : width - axis - 66}
          y={(at[i] ?? 0) - least / 2}
          height={least}
          fill="transparent"
        />
        <rect
          x={axis + direction * 14 - 22}
          width="44"
          y={y(peg.stands) - 16}
          height="32"
          fill="transparent"
          class={move ? 'handle' : ''}
        />
      {/if}
      <title
        >{peg.term} of {peg.name}, {told(peg)}{peg.sensePoint
          ? `, read at ${peg.sensePoint}`
          : ''}{peg.tolerance > 0 ? `, ± ${fixed(peg.tolerance, 2)} V` : ''}{peg.offsetVolts !== 0
          ? `; its device reads ${fixed(peg.offsetVolts, 2)} V too high`
          : ''}</title
      >
    </g>
  {/each}
{/snippet}

<div bind:clientWidth={across} class={large ? 'overflow-x-auto' : ''}>
  <svg
    bind:this={drawing}
    viewBox="0 0 {width} {height}"
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
    {#each walls as wall (wall.name)}
      {@const at = y(wall.value)}
      {@const to = wall.lower ? bottom + 20 : top - 20}
      <rect x="8" width={width - 16} y={Math.min(at, to)} height={Math.abs(to - at)} fill="url(#wall)" />
      <path d="M8 {at}H{width - 8}" stroke="var(--danger)" stroke-width={large ? 1.5 : 2} />
    {/each}
    {#each labelled as wall, i (wall.name)}
      <text x="12" y={labelAt[i]} font-size="12" fill="var(--danger)"
        >{wall.name} <tspan class="number">{fixed(wall.value, unit === 'V' ? 1 : 0)}</tspan></text
      >
    {/each}
    {#if shadowed && gauge && unit === 'V'}
      <rect
        x={axis - 12}
        width="24"
        y={y(shadowed.stands + gauge.sagVolts)}
        height={Math.max(0, y(shadowed.stands) - y(shadowed.stands + gauge.sagVolts))}
        fill="url(#shadow)"
      />
    {/if}
    {#each levels.pairs as pair (pair.key)}
      <rect
        x={axis - 4}
        width="8"
        y={y(Math.max(pair.low, pair.high))}
        height={Math.abs(y(pair.low) - y(pair.high))}
        fill={pair.high > pair.low ? 'var(--battery)' : 'var(--danger)'}
        opacity={emphasised === undefined || pair.key.startsWith(emphasised) ? 0.55 : 0.25}
      />
    {/each}
    <path d="M{axis} {top}V{bottom}" stroke="var(--ink)" stroke-width="2" />
    {#each ticks(low, high) as tick (tick)}
      <path d="M{axis - 4} {y(tick)}h8" stroke="var(--ink)" />
      {#if large && unit === 'V'}
        <path d="M{width - 60} {y(tick)}h8" stroke="var(--ink-soft)" />
      {/if}
    {/each}
    {#if large && unit === 'V' && gauge}
      <path d="M{width - 60} {top}V{bottom}" stroke="var(--ink-soft)" />
      {#each ticks(low * toRuler, high * toRuler) as tick (tick)}
        <text class="number" x={width - 48} y={y(tick / toRuler) + 4} font-size="12" fill="var(--ink-soft)"
          >{tick}</text
        >
      {/each}
      <text x={width - 60} y="12" font-size="12" fill="var(--ink-soft)"
        >{ruler === 'cell' ? 'V a cell' : 'as 12 V'}</text
      >
    {/if}
    {@render side(falling, fallingAt, -1)}
    {@render side(rising, risingAt, 1)}
    {#if levels.pegs.length === 0}
      <text x={axis + 12} y={height / 2} font-size="15" fill="var(--ink-soft)">no level in {unit} here</text>
    {/if}
  </svg>
</div>
<ul class="mt-1 flex flex-wrap justify-center gap-x-4 text-sm text-soft">
  <li>▼ acts when falling</li>
  <li>▲ when rising</li>
  <li>▬ held</li>
  <li>△ hollow: only tells</li>
</ul>

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
