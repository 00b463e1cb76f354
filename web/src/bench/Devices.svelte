<script lang="ts">
  import type { BenchState } from '../lib/api/api';
  import { duration, fixed } from '../lib/sentence/quantity';
  import { STAGES } from './bench.svelte';

  /** Chargers and inverter as they stand where every voltage is imposed: stage, what they hold, how long yet. */
  let { stands, names }: { stands: BenchState; names: Record<string, string> } = $props();

  const name = (id: string) => names[id] ?? id;

  function does(one: BenchState['chargers'][number]): string {
    if (one.stopped) return 'stopped';
    if (!one.gives) return one.stage === 'OFF' ? 'rests until its level to resume' : 'has no source';
    return `to ${fixed(one.regulationVolts, 2)} V`;
  }

  function feeds(one: NonNullable<BenchState['inverter']>): string {
    if (one.onAc) return 'loads on AC';
    if (one.searching) return 'searches for a load';
    return one.alive ? 'loads from the battery' : 'stopped: its loads are dead';
  }
</script>

{#if stands.chargers.length > 0 || stands.inverter}
  <ul class="py-1" aria-label="Chargers and inverter">
    {#each stands.chargers as one (one.charger)}
      <li class="flex min-h-12 items-center gap-x-3 border-b border-rule">
        <span class="min-w-0 grow truncate"><strong>{name(one.charger)}</strong> charges</span>
        <span class="shrink-0 text-right">
          <span class="block text-lg leading-6 font-bold">{STAGES[one.stage]}</span>
          <span class="block text-sm tabular-nums {one.stopped ? 'font-bold text-danger' : 'text-soft'}"
            >{does(one)}{one.leftSeconds === undefined
              ? ''
              : `, ${duration(Math.round(one.leftSeconds))} left`}</span
          >
        </span>
      </li>
    {/each}
    {#if stands.inverter}
      <li class="flex min-h-12 items-center gap-x-3 border-b border-rule">
        <strong class="min-w-0 grow truncate">{name(stands.inverter.inverter)}</strong>
        <span
          class="shrink-0 text-right {stands.inverter.alive || stands.inverter.onAc
            ? ''
            : 'font-bold text-danger'}">{feeds(stands.inverter)}</span
        >
      </li>
    {/if}
  </ul>
{/if}
