<script lang="ts">
  import type { Linked } from '../lib/api/api';
  import { fixed, moment, told } from '../lib/sentence/quantity';
  import { happened } from '../lib/tape/events';

  /** How an event came about, link by link; the event itself last. */
  interface Props {
    chain: Linked[];
    names: Record<string, string>;
    zone: string;
    start: number;
    /** Comes into sight when it opens. */
    comes?: boolean;
  }
  let { chain, names, zone, start, comes = false }: Props = $props();

  let list = $state<HTMLElement>();
  $effect(() => {
    if (comes) list?.scrollIntoView({ block: 'nearest' });
  });
</script>

<ol bind:this={list} class="my-2 ml-2 border-l-2 border-rule-strong" aria-label="How it came about">
  {#each chain as { link, event }, i (i)}
    {@const last = i === chain.length - 1}
    <li class="relative py-1 pl-4 text-sm">
      <span
        class="absolute top-3 -left-[5px] h-2 w-2 rounded-full {last ? 'bg-ink' : 'bg-rule-strong'}"
        aria-hidden="true"
      ></span>
      {#if event[0]}
        <span class="number">{moment(start + link.seconds * 1000, zone)}</span>
        <strong>{names[event[0].subject] ?? 'Bus'} {happened(event[0].kind)}</strong>
        {told(event[0].reason)}; battery <span class="number">{fixed(event[0].batteryVolts, 2)} V</span>,
        <span class="number">{fixed(event[0].stateOfCharge * 100, 1)} %</span>
      {:else}
        <span class="number">{moment(start + link.seconds * 1000, zone)}</span> {link.says}
      {/if}
    </li>
  {/each}
</ol>
