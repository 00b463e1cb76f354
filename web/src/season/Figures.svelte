<script lang="ts">
  import type { DaySummary, Plan, RunPart, RunSummary } from '../lib/api/api';
  import CostByTime from './CostByTime.svelte';
  import Tariff from './Tariff.svelte';
  import { duration, fixed, minute, told } from '../lib/sentence/quantity';

  /** The extremes of a run or of a part of it, its generators, and what the battery of a whole run went through. */
  interface Props {
    run: Pick<RunPart, 'lowestStateOfCharge' | 'lowestBatteryVolts' | 'generators' | 'feeders'>;
    /** When the run begins (ms). */
    start: number;
    days: DaySummary[];
    battery?: RunSummary['battery'] | undefined;
    plan: Plan;
  }
  let { run, start, days, battery, plan }: Props = $props();

  const zone = $derived(plan.site.location.timeZone);
  const at = $derived((seconds: number) => minute(start + seconds * 1000, zone));
  const costs = (feeder: RunSummary['feeders'][number]) =>
    feeder.bands.some((band) => band.importKilowattHours > 0 || band.exportKilowattHours > 0);
  const sourceName = (id: string) => plan.site.acSources?.find((one) => one.id === id)?.name ?? id;
</script>

{#snippet row(what: string, says: string, when = '')}
  <div class="flex justify-between gap-4 border-b border-rule py-1">
    <dt>{what}</dt>
    <dd class="shrink-0 text-right">
      <span class="number">{says}</span>{#if when}<span class="block text-sm text-soft">{when}</span>{/if}
    </dd>
  </div>
{/snippet}

<section aria-labelledby="figures">
  <h2 id="figures">Figures</h2>
  <dl class="mt-1 max-w-3xl">
    {@render row(
      'lowest state of charge',
      `${fixed(run.lowestStateOfCharge.value * 100, 1)} %`,
      at(run.lowestStateOfCharge.seconds),
    )}
    {@render row(
      'lowest battery voltage',
      `${fixed(run.lowestBatteryVolts.value, 2)} V`,
      at(run.lowestBatteryVolts.seconds),
    )}
    {#each run.generators as generator (generator.generator)}
      {@render row(
        `${sourceName(generator.generator)}: running, starts, fuel`,
        told(
          `${duration(Math.round(generator.runSeconds / 60) * 60)}, ${generator.starts}, ${fixed(generator.litres, 1)} l`,
        ),
      )}
    {/each}
    {#each run.feeders.filter((one) => one.outageSeconds > 0) as feeder (feeder.feeder)}
      {@render row(
        `${sourceName(feeder.feeder)}: away`,
        duration(Math.round(feeder.outageSeconds / 60) * 60),
      )}
    {/each}
    {#if battery}
      {@render row('battery: full cycles of wear', fixed(battery.equivalentFullCycles, 1))}
      {@render row(
        'battery: lowest and highest temperature',
        told(`${fixed(battery.lowestCelsius, 0)} to ${fixed(battery.highestCelsius, 0)} °C`),
      )}
    {/if}
  </dl>
</section>
{#each run.feeders.filter(costs) as feeder (feeder.feeder)}
  <Tariff {feeder} name={sourceName(feeder.feeder)} />
{/each}
{#if run.feeders.some(costs)}<CostByTime {days} />{/if}
