<script lang="ts">
  import type { OutputReading, Plan } from '../api/api';
  import { fixed } from '../sentence/quantity';
  import { pegsOf, spread, type Peg } from './pegs';

  /** The voltage axis with every threshold on it. */
  let { plan, readings, emphasised }: { plan: Plan; readings: OutputReading[]; emphasised?: string } =
    $props();

  const HEIGHT = 460;
  const TOP = 20;
  const BOTTOM = HEIGHT - 20;
  const AXIS = 180;
  const LINE = 17;

  const levels = $derived(pegsOf(plan, readings));
  const battery = $derived(plan.site.battery);
  const all = $derived([...levels.pegs.map((peg) => peg.volts), battery.lowestVolts, battery.highestVolts]);
  const span = $derived(Math.max(...all) - Math.min(...all));
  const low = $derived(Math.min(...all) - span * 0.06);
  const high = $derived(Math.max(...all) + span * 0.06);
  const y = $derived((volts: number) => BOTTOM - ((volts - low) / (high - low)) * (BOTTOM - TOP));
  const step = $derived([0.1, 0.2, 0.5, 1, 2, 5, 10].find((one) => span / one <= 10) ?? 20);
  const ticks = $derived(
    Array.from(
      { length: Math.floor((high - low) / step) + 1 },
      (_, i) => Math.ceil(low / step) * step + i * step,
    ).filter((volts) => volts <= high),
  );
  const falling = $derived(levels.pegs.filter((peg) => peg.acts === 'falling'));
  const rising = $derived(levels.pegs.filter((peg) => peg.acts !== 'falling'));
  const fallingAt = $derived(
    spread(
      falling.map((peg) => y(peg.volts)),
      LINE,
      TOP,
      BOTTOM,
    ),
  );
  const risingAt = $derived(
    spread(
      rising.map((peg) => y(peg.volts)),
      LINE,
      TOP,
      BOTTOM,
    ),
  );

  function shape(peg: Peg, x: number): string {
    const at = y(peg.volts);
    if (peg.acts === 'falling') return `M${x - 7} ${at - 6}h14l-7 12z`;
    if (peg.acts === 'rising') return `M${x - 7} ${at + 6}h14l-7 -12z`;
    return `M${x - 7} ${at - 3}h14v6h-14z`;
  }
  const dim = (peg: Peg) => emphasised !== undefined && !peg.key.startsWith(emphasised);
</script>

{#snippet side(pegs: Peg[], at: number[], direction: -1 | 1)}
  {#each pegs as peg, i (peg.key)}
    <g opacity={dim(peg) ? 0.8 : 1}>
      <path
        d={shape(peg, AXIS + direction * 14)}
        fill={peg.switches ? 'var(--ink)' : 'var(--paper)'}
        stroke="var(--ink)"
        stroke-width="1.6"
      />
      <path
        d="M{AXIS + direction * 24} {y(peg.volts)}L{AXIS + direction * 36} {at[i]}"
        stroke="var(--rule-strong)"
        fill="none"
      />
      <text
        x={AXIS + direction * 40}
        y={(at[i] ?? 0) + 4.5}
        text-anchor={direction < 0 ? 'end' : 'start'}
        fill="var(--ink)"
        font-size="13"
        ><tspan class="number" font-weight={dim(peg) ? 400 : 700}>{fixed(peg.volts, 2)}</tspan>
        {peg.label}</text
      >
      <title>{peg.label} of {peg.of}, {fixed(peg.volts, 2)} V</title>
    </g>
  {/each}
{/snippet}

<svg
  viewBox="0 0 360 {HEIGHT}"
  class="w-full"
  role="img"
  aria-label="All voltage thresholds on one axis, in volts"
>
  {#each [{ at: battery.lowestVolts, from: BOTTOM, to: y(battery.lowestVolts), name: 'battery’s lowest' }, { at: battery.highestVolts, from: y(battery.highestVolts), to: TOP, name: 'battery’s highest' }] as wall (wall.name)}
    <rect
      x="8"
      width="344"
      y={Math.min(wall.from, wall.to)}
      height={Math.abs(wall.to - wall.from)}
      fill="url(#wall)"
    />
    <path d="M8 {y(wall.at)}H352" stroke="var(--danger)" stroke-width="2" />
    <text
      x="10"
      y={wall.at === battery.lowestVolts ? y(wall.at) + 15 : y(wall.at) - 5}
      font-size="12"
      fill="var(--danger)">{wall.name} <tspan class="number">{fixed(wall.at, 1)}</tspan></text
    >
  {/each}
  <defs>
    <pattern id="wall" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
      <path d="M0 0V6" stroke="var(--danger)" stroke-width="1" opacity="0.35" />
    </pattern>
  </defs>
  {#each levels.pairs as pair, i (i)}
    <rect
      x={AXIS - 4}
      width="8"
      y={y(Math.max(pair.low, pair.high))}
      height={Math.abs(y(pair.low) - y(pair.high))}
      fill={pair.high > pair.low ? 'var(--battery)' : 'var(--danger)'}
      opacity={emphasised === undefined || emphasised === pair.key ? 0.55 : 0.25}
    />
  {/each}
  <path d="M{AXIS} {TOP}V{BOTTOM}" stroke="var(--ink)" stroke-width="2" />
  {#each ticks as volts (volts)}
    <path d="M{AXIS - 4} {y(volts)}h8" stroke="var(--ink)" />
  {/each}
  {@render side(falling, fallingAt, -1)}
  {@render side(rising, risingAt, 1)}
</svg>
<ul class="mt-1 flex flex-wrap justify-center gap-x-4 text-sm text-soft">
  <li>▼ acts when falling</li>
  <li>▲ when rising</li>
  <li>▬ held</li>
  <li>△ hollow: only tells</li>
</ul>
