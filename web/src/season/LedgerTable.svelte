<script lang="ts">
  import type { LedgerInWattHours, Plan } from '../lib/api/api';
  import { energy, fixed } from '../lib/sentence/quantity';
  import FlowPicture from './FlowPicture.svelte';

  /** Where energy came from and went, in a run or in a part of it. */
  let { ledger, plan }: { ledger: LedgerInWattHours; plan: Plan } = $props();

  const fell = $derived(Math.max(0, -ledger.storedIncrease));
  const grew = $derived(Math.max(0, ledger.storedIncrease));
  const loss = $derived(
    ledger.batteryLoss + ledger.cableLoss + ledger.conversionLoss + ledger.idle + ledger.coils,
  );
  const came = $derived(
    ledger.array + ledger.acArray + ledger.source + ledger.generator + ledger.imported + fell,
  );
  const name = (id: string) => plan.site.loads.find((load) => load.id === id)?.name ?? id;
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

<section aria-labelledby="ledger">
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
  {#if Math.abs(ledger.closingError) > 1e-6}
    <p class="mt-1 text-danger">
      Came and went differ; do not trust this run, and tell who maintains Sparen.
    </p>
  {/if}
</section>
