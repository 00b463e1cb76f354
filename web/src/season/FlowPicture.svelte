<script lang="ts">
  import type { LedgerInWattHours } from '../lib/api/api';
  import { energy } from '../lib/sentence/quantity';
  import { flowPicture, type Bar } from './flows';

  /** Where the energy came from and went, as bands as wide as they are many. */
  let { ledger }: { ledger: LedgerInWattHours } = $props();

  const HIGH = 230;
  let width = $state(0);
  const side = $derived(width < 520 ? 126 : 172);
  const picture = $derived(flowPicture(ledger, HIGH - 30));
  const x0 = $derived(side + 12);
  const x1 = $derived(Math.max(x0 + 60, width - side - 12));

  const fill = (look: Bar['look']) => (look === 'hatch' ? 'url(#thrown)' : `var(--${look})`);
  function band(from: number, to: number, thick: number) {
    const middle = (x0 + x1) / 2;
    return (
      `M${x0} ${from}C${middle} ${from} ${middle} ${to} ${x1} ${to}` +
      `V${to + thick}C${middle} ${to + thick} ${middle} ${from + thick} ${x0} ${from + thick}z`
    );
  }
</script>

{#snippet label(bar: Bar, x: number, anchor: 'start' | 'end')}
  <text {x} y={bar.top + Math.max(bar.height / 2, 8) - 2} text-anchor={anchor} class="fill-ink text-sm">
    {bar.name}
  </text>
  <text
    {x}
    y={bar.top + Math.max(bar.height / 2, 8) + 14}
    text-anchor={anchor}
    class="number fill-soft text-sm">{energy(bar.wattHours)}</text
  >
{/snippet}

<div bind:clientWidth={width} class="w-full">
  {#if width > 0}
    <svg
      class="block w-full"
      height={HIGH}
      role="img"
      aria-label="Flow of energy: the table below has its numbers"
    >
      <defs>
        <pattern id="thrown" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <rect width="6" height="6" fill="var(--paper)" />
          <rect width="2" height="6" fill="var(--sun)" />
        </pattern>
      </defs>
      <g transform="translate(0 10)">
        {#each picture.bands as one (one.key)}
          <path
            d={band(one.from, one.to, one.height)}
            fill={fill(one.look)}
            fill-opacity={one.look === 'hatch' ? 0.7 : 0.32}
          />
        {/each}
        {#each picture.left as bar (bar.key)}
          <rect x={side + 2} y={bar.top} width="10" height={bar.height} fill={fill(bar.look)} />
          {@render label(bar, side - 6, 'end')}
        {/each}
        {#each picture.right as bar (bar.key)}
          <rect
            x={x1}
            y={bar.top}
            width="10"
            height={bar.height}
            fill={fill(bar.look)}
            stroke={bar.look === 'hatch' ? 'var(--sun)' : 'none'}
          />
          {@render label(bar, x1 + 18, 'start')}
        {/each}
      </g>
    </svg>
  {/if}
</div>
