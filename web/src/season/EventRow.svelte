<script lang="ts">
  import type { NumberedEvent } from '../lib/api/api';
  import { fixed, moment, told } from '../lib/sentence/quantity';
  import { happened, isGrave } from '../lib/tape/events';
  import Chain from './Chain.svelte';
  import type { SeasonRun } from './run.svelte';

  /** What happened at one instant; opened, how it came about. */
  interface Props {
    season: SeasonRun;
    mark: NumberedEvent;
    /** What each part is called, by its id. */
    names: Record<string, string>;
    zone: string;
    /** When the run starts (ms since 1970). */
    start: number;
  }
  let { season, mark, names, zone, start }: Props = $props();

  const event = $derived(mark.event);

  function look() {
    if (season.picked === mark.index) season.picked = undefined;
    else void season.pick(mark.index, event.seconds);
  }
</script>

<button
  class="block w-full px-1 py-2 text-left hover:bg-raised"
  aria-expanded={season.picked === mark.index}
  onclick={look}
>
  <span class="number block text-sm text-soft">{moment(start + event.seconds * 1000, zone)}</span>
  <span class={isGrave(event.kind) ? 'font-bold text-danger' : 'font-bold'}
    >{names[event.subject] ?? 'Bus'} {happened(event.kind)}</span
  >
  <span class="block text-sm text-soft">
    {told(event.reason)}; battery <span class="number">{fixed(event.batteryVolts, 2)} V</span>, true state of
    charge
    <span class="number">{fixed(event.stateOfCharge * 100, 1)} %</span>
  </span>
</button>
{#if season.picked === mark.index && season.chain}
  <Chain chain={season.chain} {names} {zone} {start} comes />
{/if}
