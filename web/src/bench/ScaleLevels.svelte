<svelte:options namespace="svg" />

<script lang="ts">
  import { lit } from '../lib/gauge/lit.svelte';
  import { spread } from '../lib/gauge/pegs';
  import { decimal } from '../lib/sentence/quantity';
  import { AXIS, EDGE, type Scale } from './scale';

  /** The levels on one side of the scale, their numbers beside each other as far as there is room. */
  interface Props {
    scale: Scale;
    levels: Scale['levels'];
    /** Where the thumb stands, in the unit that is shown. */
    value: number;
    /** Where a value stands (px). */
    x: (value: number) => number;
    /** Width of the scale (px). */
    wide: number;
    /** Above the axis, with arrows that point up. */
    above?: boolean;
  }
  let { scale, levels, value, x, wide, above = false }: Props = $props();

  const LABEL = 46;
  /** Where there is no room for all numbers, those next to the thumb and the one that is lit stand there. */
  const labelled = $derived.by(() => {
    if (levels.length * LABEL <= wide - 2 * EDGE) return levels;
    const near = [...levels].sort((a, b) => Math.abs(a.value - value) - Math.abs(b.value - value));
    const few = near.slice(0, Math.max(1, Math.floor((wide - 2 * EDGE) / LABEL / 2)));
    return levels.filter((one) => few.includes(one) || one.path === lit.path);
  });
  const at = $derived(
    spread(
      labelled.map((one) => x(one.value)),
      LABEL,
      22,
      wide - 22,
    ),
  );
</script>

{#each levels as level (level.path)}
  {@const bright = lit.path === level.path}
  {@const from = x(level.value)}
  {@const to = at[labelled.indexOf(level)]}
  <g
    role="img"
    aria-label="{level.term} of {level.name}, {decimal(level.value)} {scale.unit}"
    {...lit.by(level.path)}
  >
    <path
      d={level.acts === 'HELD'
        ? `M${from - 3} ${AXIS - 14}h6v10h-6z`
        : above
          ? `M${from - 6} ${AXIS - 3}h12l-6 -11z`
          : `M${from - 6} ${AXIS + 3}h12l-6 11z`}
      fill={bright ? 'var(--focus)' : 'var(--ink)'}
    />
    {#if to !== undefined}
      <path
        d="M{from} {above ? AXIS - 15 : AXIS + 15}L{to} {above ? 30 : 94}"
        stroke="var(--rule-strong)"
        fill="none"
      />
      <text
        x={to}
        y={above ? 26 : 108}
        text-anchor="middle"
        class="number"
        font-size="13"
        font-weight={bright ? 700 : 400}
        fill={bright ? 'var(--focus)' : 'var(--ink)'}>{decimal(level.value, 2)}</text
      >
    {/if}
    <title>{level.term} of {level.name}</title>
  </g>
{/each}

<style>
  text {
    paint-order: stroke;
    stroke: var(--paper);
    stroke-width: 3px;
  }
</style>
