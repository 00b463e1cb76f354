<script lang="ts">
  import type { BenchState } from '../lib/api/api';
  import { duration, fixed } from '../lib/sentence/quantity';
  import { STAGES } from './bench.svelte';

  /** What else stands at the bench where every voltage is imposed: chargers with their stage, inverter, BMS, direct-current sources. */
  let { stands, names }: { stands: BenchState; names: Record<string, string> } = $props();

  const name = (id: string) => names[id] ?? id;

  function does(one: BenchState['chargers'][number]): string {
    if (one.stopped) return 'stopped';
    if (!one.gives) return one.stage === 'OFF' ? 'rests until its level to resume' : 'has no source';
    return `to ${fixed(one.regulationVolts, 2)} V`;
  }

  function lets({ mayCharge, mayDischarge, asleep }: BenchState['batteries'][number]): string {
    if (asleep) return 'asleep until a charger wakes it';
    if (mayCharge && mayDischarge) return 'both paths closed';
    return mayCharge ? 'gives nothing' : mayDischarge ? 'takes no charge' : 'both paths open';
  }

  function feeds(one: NonNullable<BenchState['inverter']>): string {
    if (one.onAc) return 'loads on AC';
    if (one.searching) return 'searches for a load';
    return one.alive ? 'loads from the battery' : 'stopped: its loads are dead';
  }
</script>

{#snippet row(who: string, says: string, isWrong: boolean)}
  <li class="flex min-h-12 items-center gap-x-3 border-b border-rule">
    <strong class="min-w-0 grow truncate">{who}</strong>
    <span class="shrink-0 text-right {isWrong ? 'font-bold text-danger' : ''}">{says}</span>
  </li>
{/snippet}

{#if stands.chargers.length + stands.batteries.length + stands.sources.length > 0 || stands.inverter}
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
      {@render row(
        name(stands.inverter.inverter),
        feeds(stands.inverter),
        !stands.inverter.alive && !stands.inverter.onAc,
      )}
    {/if}
    {#each stands.sources as one (one.source)}
      {@render row(
        name(one.source),
        one.braked ? 'braked' : one.gives ? 'gives' : 'gives nothing now',
        false,
      )}
    {/each}
    {#each stands.batteries as one (one.battery)}
      {@render row(`BMS of ${name(one.battery)}`, lets(one), !one.mayCharge || !one.mayDischarge)}
    {/each}
  </ul>
{/if}
