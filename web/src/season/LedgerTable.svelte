<script lang="ts">
  import type { Plan, RunSummary } from '../lib/api/api';
  import { duration, energy, fixed, moment } from '../lib/sentence/quantity';
  import FlowPicture from './FlowPicture.svelte';

  let { run: answer, plan }: { run: RunSummary; plan: Plan } = $props();

  const ledger = $derived(answer.ledger);
  const zone = $derived(plan.site.location.timeZone);
  const start = $derived(Date.parse(answer.start));
  const fell = $derived(Math.max(0, -ledger.storedIncrease));
  const grew = $derived(Math.max(0, ledger.storedIncrease));
  const loss = $derived(
    ledger.batteryLoss + ledger.cableLoss + ledger.conversionLoss + ledger.idle + ledger.coils,
  );
  const came = $derived(
    ledger.array + ledger.acArray + ledger.source + ledger.generator + ledger.imported + fell,
  );
  const name = (id: string) => plan.site.loads.find((load) => load.id === id)?.name ?? id;
  const sourceName = (id: string) => plan.site.acSources?.find((one) => one.id === id)?.name ?? id;
</script>

{#snippet row(label: string, wattHours: number, strong = false, share = true)}
  <tr class="border-b border-rule {strong ? 'font-bold' : ''}">
    <th scope="row" class="py-1 text-left {strong ? '' : 'pl-4 font-normal'}">{label}</th>
    <td class="number py-1 text-right">{energy(wattHours)}</td>
    <td class="number w-16 py-1 text-right text-soft"
      >{share && came > 0 ? `${fixed((wattHours / came) * 100, 0)} %` : ''}</td
    >
  </tr>
{/snippet}

<section aria-labelledby="ledger" class="max-xl:mt-8">
  <h2 id="ledger">Where the energy went</h2>
  <FlowPicture {ledger} />
  <table class="mt-2 w-full">
    <tbody>
      {@render row('Came in', came, true)}
      {@render row('array, at its maximum', ledger.array)}
      {#if ledger.acArray > 0}{@render row('array on the AC side', ledger.acArray)}{/if}
      {#if ledger.source > 0}{@render row('other direct current', ledger.source)}{/if}
      {#if ledger.generator > 0}{@render row('generator', ledger.generator)}{/if}
      {#if ledger.imported > 0}{@render row('feeder', ledger.imported)}{/if}
      {@render row('less in the battery at the end than at the start', fell)}
      {@render row('Went', came, true)}
      {#each Object.entries(ledger.servedByLoad) as [id, wattHours] (id)}
        {@render row(name(id), wattHours)}
      {/each}
      {#each Object.entries(ledger.divertedByLoad) as [id, wattHours] (id)}
        {@render row(`diverted: ${name(id)}`, wattHours)}
      {/each}
      {#if ledger.exported > 0}{@render row('given back to the feeder', ledger.exported)}{/if}
      {@render row('more in the battery at the end than at the start', grew)}
      {@render row('lost in battery, cables, conversion, own draw', loss)}
      {@render row('thrown away: curtailed', ledger.curtailed)}
      {@render row('thrown away: clipped', ledger.clipped)}
      {@render row('Unserved', ledger.unserved, true, false)}
      {#each Object.entries(ledger.unservedByLoad).filter(([, wattHours]) => wattHours > 0) as [id, wattHours] (id)}
        {@render row(name(id), wattHours, false, false)}
      {/each}
    </tbody>
  </table>
  <p class="mt-1 text-sm text-soft">
    The ledger closes to <span class="number">{Math.abs(ledger.closingError).toExponential(0)}</span> of what went
    through.
  </p>
  <h2 class="mt-6">Figures</h2>
  <dl class="mt-1">
    <div class="flex justify-between gap-4 border-b border-rule py-1">
      <dt>lowest state of charge</dt>
      <dd class="text-right">
        <span class="number">{fixed(answer.lowestStateOfCharge.value * 100, 1)} %</span>
        <span class="block text-sm text-soft"
          >{moment(start + answer.lowestStateOfCharge.seconds * 1000, zone)}</span
        >
      </dd>
    </div>
    <div class="flex justify-between gap-4 border-b border-rule py-1">
      <dt>lowest battery voltage</dt>
      <dd class="text-right">
        <span class="number">{fixed(answer.lowestBatteryVolts.value, 2)} V</span>
        <span class="block text-sm text-soft"
          >{moment(start + answer.lowestBatteryVolts.seconds * 1000, zone)}</span
        >
      </dd>
    </div>
    {#each answer.generators as generator (generator.generator)}
      <div class="flex justify-between gap-4 border-b border-rule py-1">
        <dt>{sourceName(generator.generator)}: running, starts, fuel</dt>
        <dd class="number shrink-0 text-right">
          {duration(Math.round(generator.runSeconds / 60) * 60)}, {generator.starts}, {fixed(
            generator.litres,
            1,
          )} l
        </dd>
      </div>
    {/each}
    {#if ledger.cost !== 0}
      <div class="flex justify-between gap-4 border-b border-rule py-1">
        <dt>paid for import, less got for export</dt>
        <dd class="number shrink-0 text-right">{fixed(ledger.cost, 2)}</dd>
      </div>
    {/if}
    <div class="flex justify-between gap-4 border-b border-rule py-1">
      <dt>battery: full cycles of wear, lowest and highest temperature</dt>
      <dd class="number shrink-0 text-right">
        {fixed(answer.battery.equivalentFullCycles, 1)}, {fixed(answer.battery.lowestCelsius, 0)} to {fixed(
          answer.battery.highestCelsius,
          0,
        )} °C
      </dd>
    </div>
  </dl>
</section>
