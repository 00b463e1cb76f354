<script lang="ts">
  import type { FittedDevice, Plan, Setting } from '../lib/api/api';
  import Action from '../lib/shell/Action.svelte';
  import { partName } from '../lib/shell/parts';
  import { csvOf, isAsItComes, partsBegin, rowsOf, textOf } from './deviceSheet';
  import DeviceSheetRow from './DeviceSheetRow.svelte';
  import type { PlanEditor } from './planEditor.svelte';

  /** What is pressed into a device, in the order of its own menu, what it makes of it, and what is different from how it comes. */
  interface Props {
    editor: PlanEditor;
    plan: Plan;
    device: FittedDevice;
    rows: Setting[];
    readonly: boolean;
  }
  let { editor, plan, device, rows: settings, readonly }: Props = $props();

  let onlyChanges = $state(false);
  const profile = $derived(device.profile);
  const known = $derived(settings.filter((one) => one.factory !== undefined));
  const asItComes = $derived(known.filter(isAsItComes).length);
  const rows = $derived(rowsOf(settings).filter((row) => !onlyChanges || !isAsItComes(row.first)));
  const begins = $derived(partsBegin(rows));
  const hasMenu = $derived(settings.some((one) => one.menu));
  const name = (id: string) => (id === device.id ? device.name : partName(plan, id));
  const file = (type: string, text: string) => `data:${type};charset=utf-8,${encodeURIComponent(text)}`;
  let copied = $state(false);

  async function copy() {
    await navigator.clipboard.writeText(textOf(settings, profile, name));
    copied = true;
  }
</script>

{#if settings.length === 0}
  <p class="py-2 text-soft">Nothing of the program is in it.</p>
{:else}
  {#if known.length > 0}
    <p class="mt-2 flex flex-wrap items-center gap-x-5">
      <span
        ><span class="number font-bold">{known.length - asItComes}</span> of
        <span class="number">{known.length}</span> change from how it comes{known.length < settings.length
          ? `; of ${settings.length - known.length} nobody knows how they come`
          : ''}.</span
      >
      <label class="no-print flex min-h-11 items-center gap-2"
        ><input type="checkbox" class="size-5 accent-ink" bind:checked={onlyChanges} />leave out what is as it
        comes</label
      >
    </p>
  {/if}
  <table class="mt-1 w-full text-left">
    <thead class="text-sm text-soft">
      <tr>
        {#if hasMenu}<th class="py-1 pr-4 font-normal">menu</th>{/if}
        <th class="py-1 pr-4 font-normal">setting</th>
        <th class="py-1 pr-4 text-right font-normal">enter</th>
        <th class="py-1 pr-4 text-right font-normal max-sm:hidden">it does</th>
        <th class="py-1 pr-4 text-right font-normal whitespace-nowrap max-sm:hidden">as it comes</th>
        <th class="py-1 font-normal max-sm:hidden"></th>
      </tr>
    </thead>
    <tbody>
      {#each rows as row (row.first.path + row.first.label)}
        <DeviceSheetRow
          {editor}
          {device}
          {row}
          {hasMenu}
          {readonly}
          part={begins.includes(row) ? name(row.first.at) : ''}
        />
      {/each}
    </tbody>
  </table>
  <div class="no-print mt-2 flex flex-wrap items-center gap-x-5">
    <Action onclick={copy}>{copied ? 'Copied' : 'Copy as text'}</Action>
    <a
      class="flex min-h-11 items-center underline"
      download="{device.id}.csv"
      href={file('text/csv', csvOf(settings, profile, name))}>CSV</a
    >
    <a
      class="flex min-h-11 items-center underline"
      download="{device.id}.json"
      href={file('application/json', JSON.stringify(settings, null, 2))}>JSON</a
    >
    <button class="min-h-11 underline" onclick={() => window.print()}>Print</button>
  </div>
{/if}
