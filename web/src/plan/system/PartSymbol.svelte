<script lang="ts">
  import type { Symbol } from './tree';

  /** A part's symbol about its middle, 32 wide, after IEC 60617 in our own drawing: told by its shape, the colour only repeats it. */
  let { symbol, colour }: { symbol: Symbol; colour: string } = $props();

  const round = ['motor', 'generator', 'feeder', 'source', 'monitor'];
  const letter: Partial<Record<Symbol, string>> = { motor: 'M', generator: 'G', source: 'G', monitor: 'Ah' };
</script>

<g fill="none" stroke={colour} stroke-width="2" stroke-linejoin="round" stroke-linecap="round">
  {#if round.includes(symbol)}
    <circle r="15" fill="var(--paper)" />
    {#if letter[symbol]}
      <text
        y={symbol === 'generator' || symbol === 'source' ? 2 : 5}
        text-anchor="middle"
        font-size="14"
        font-weight="700"
        fill={colour}
        stroke="none">{letter[symbol]}</text
      >
    {/if}
    {#if symbol === 'generator'}<path d="M-6 8q3 -5 6 0t6 0" />{/if}
    {#if symbol === 'source'}<path d="M-5 6H5M-5 9.5H5" stroke-width="1.5" />{/if}
    {#if symbol === 'feeder'}<path d="M-9 0q4.5 -9 9 0t9 0" />{/if}
  {:else if symbol === 'array'}
    <path d="M-16 -9H16V14H-16Z" fill="var(--paper)" />
    <path d="M-16 -9L-7 2.5L-16 14" />
    <path d="M-4 -20l4 8m0 -4.5v4.5l-4 -1.5M5 -20l4 8m0 -4.5v4.5l-4 -1.5" stroke-width="1.5" />
  {:else if symbol === 'converter' || symbol === 'inverter'}
    <path d="M-16 -16H16V16H-16Z" fill="var(--paper)" />
    <path d="M-16 16L16 -16" stroke-width="1.5" />
    <path d="M-11 -9H-3M-11 -5H-3" stroke-width="1.75" />
    {#if symbol === 'converter'}<path d="M3 6H11M3 10H11" stroke-width="1.75" />
    {:else}<path d="M2 8q2.5 -6 5 0t5 0" stroke-width="1.75" />{/if}
  {:else if symbol === 'battery'}
    <path d="M-16 0H-9M9 0H16" />
    <path d="M-4 0H4" stroke-dasharray="1.5 2.5" stroke-width="1.5" />
    <path d="M-9 -14V14M4 -14V14" />
    <path d="M-4 -7V7M9 -7V7" stroke-width="4" stroke-linecap="butt" />
  {:else if symbol === 'join'}
    <circle r="4" fill={colour} />
  {:else if symbol === 'resistor'}
    <path d="M-16 -8H16V8H-16Z" fill="var(--paper)" />
    <path d="M-8 8V-8M0 8V-8M8 8V-8" stroke-width="1.25" />
  {:else if symbol === 'radio'}
    <path d="M0 15V-3M-8 -13L0 -3L8 -13Z" />
    <path d="M-12 -2q-4 -6 0 -12M12 -2q4 -6 0 -12" stroke-width="1.5" />
  {:else if symbol === 'lamp'}
    <circle r="13" fill="var(--paper)" />
    <path d="M-16 0H-13M-9.2 -9.2L9.2 9.2M9.2 -9.2L-9.2 9.2" />
  {:else if symbol === 'place'}
    <circle r="13" fill="var(--paper)" />
    <path d="M0 -19V-7M0 19V13M-19 0H-13M19 0H13M-5 -4L0 -13L5 -4Z" stroke-width="1.5" />
  {:else if symbol === 'tank'}
    <path d="M-11 15V-8q0 -7 11 -7t11 7V15Z" fill="var(--paper)" />
    <path d="M-11 3q3.7 -4 7.3 0t7.3 0t7.3 0" stroke-width="1.5" />
  {:else}
    <path d="M-16 0H-10M-10 -11L14 0L-10 11Z" fill="var(--paper)" />
  {/if}
</g>
