<script lang="ts">
  import type { FittedDevice, Plan, Setting } from '../lib/api/api';
  import Action from '../lib/shell/Action.svelte';
  import { partName } from '../lib/shell/parts';
  import { csvOf, entered, rowsOf, textOf, told } from './deviceSheet';

  /** What is pressed into a device, in the order of its own menu, and what it makes of it. */
  let { plan, device, rows: settings }: { plan: Plan; device: FittedDevice; rows: Setting[] } = $props();

  const rows = $derived(rowsOf(settings));
  const hasMenu = $derived(settings.some((one) => one.menu));
  const name = (id: string) => partName(plan, id);
  const file = (type: string, text: string) => `data:${type};charset=utf-8,${encodeURIComponent(text)}`;
  let copied = $state(false);

  async function copy() {
    await navigator.clipboard.writeText(textOf(settings, name));
    copied = true;
  }
</script>

{#if rows.length === 0}
  <p class="py-2 text-soft">Nothing of the program is in it.</p>
{:else}
  <table class="mt-2 w-full text-left">
    <thead class="text-sm text-soft">
      <tr>
        {#if hasMenu}<th class="py-1 pr-4 font-normal">menu</th>{/if}
        <th class="py-1 pr-4 font-normal max-sm:hidden">of</th>
        <th class="py-1 pr-4 font-normal">setting</th>
        <th class="py-1 pr-4 text-right font-normal">enter</th>
        <th class="py-1 text-right font-normal sm:pr-4">it does</th>
        <th class="py-1 font-normal max-sm:hidden"></th>
      </tr>
    </thead>
    <tbody>
      {#each rows as { first, all } (first.path)}
        <tr class="border-t border-rule align-top {all.some((one) => one.problem) ? 'text-danger' : ''}">
          {#if hasMenu}<td class="number py-1 pr-4 whitespace-nowrap">{first.menu ?? ''}</td>{/if}
          <td class="py-1 pr-4 max-sm:hidden">{name(first.at)}</td>
          <td class="py-1 pr-4"
            >{first.coded ? 'position' : first.label}<span class="block text-sm text-soft sm:hidden"
              >{name(first.at)}{first.problem ? `: ${first.problem}` : ''}</span
            ></td
          >
          <td class="number py-1 pr-4 text-right text-lg font-bold">{entered(first)}</td>
          <td class="number py-1 text-right sm:pr-4"
            >{#each all as one (one.path)}<span class="block"
                >{#if first.coded}<span class="font-sans text-sm text-soft">{one.label}</span>
                {/if}{#if one.enter !== ''}{told(
                    one,
                    one.effective,
                  )}{/if}{#if one.effective !== one.wanted}<span class="block text-sm text-soft"
                    >asked {told(one, one.wanted)}</span
                  >{/if}</span
              >{/each}</td
          >
          <td class="py-1 text-sm max-sm:hidden">
            {first.coded && first.problem
              ? 'no position sets all of this; the nearest'
              : (first.problem ?? '')}
            {first.needs ? `needs ${first.needs}` : ''}
            {#if first.assumed}<span class="font-bold text-caution">assumed until measured</span>{/if}
          </td>
        </tr>
      {/each}
    </tbody>
  </table>
  <div class="no-print mt-2 flex flex-wrap items-center gap-x-5">
    <Action onclick={copy}>{copied ? 'Copied' : 'Copy as text'}</Action>
    <a
      class="flex min-h-11 items-center underline"
      download="{device.id}.csv"
      href={file('text/csv', csvOf(settings, name))}>CSV</a
    >
    <a
      class="flex min-h-11 items-center underline"
      download="{device.id}.json"
      href={file('application/json', JSON.stringify(settings, null, 2))}>JSON</a
    >
    <button class="min-h-11 underline" onclick={() => window.print()}>Print</button>
  </div>
{/if}
