<script lang="ts">
  import type { FittedDevice, Plan, Setting } from '../lib/api/api';
  import Action from '../lib/shell/Action.svelte';
  import { partName } from '../lib/shell/parts';
  import {
    actsOtherwise,
    csvOf,
    entered,
    factory,
    isAsItComes,
    keyOf,
    partsBegin,
    remarks,
    rowsOf,
    textOf,
    told,
    type Row,
  } from './deviceSheet';
  import NotedEntry from './NotedEntry.svelte';
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

  /** What the device does is said as it is entered: on a phone that stands once. */
  const saysTheSame = ({ first, all }: Row) =>
    all.length === 1 &&
    !actsOtherwise(first) &&
    told(first, first.effective, first.effectiveWord) === entered(first);

  function notedAt({ first }: Row) {
    const knob = profile.knobs.find((one) => keyOf(one) === first.entry);
    return knob?.kind === 'noted' ? knob : undefined;
  }
</script>

{#snippet does({ first, all }: Row)}{#each all as one (one.path)}<span class="block"
      >{#if first.kind === 'POSITION'}<span class="font-sans text-sm text-soft">{one.label}</span>
      {/if}{#if one.kind === 'NOTED'}<span class="font-sans text-sm [word-spacing:normal] text-soft"
          >{!device.noted.some((given) => given.id === one.entry)
            ? 'usual; nobody has looked'
            : (one.wantedWord ?? one.enter) === one.enter
              ? ''
              : one.wantedWord}</span
        >{:else if one.enter !== ''}{told(
          one,
          one.effective,
          one.effectiveWord,
        )}{/if}{#if actsOtherwise(one)}<span class="block text-sm text-soft"
          >asked {told(one, one.wanted)}</span
        >{/if}</span
    >{/each}{/snippet}

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
        {@const { first, all } = row}
        {@const noted = first.kind === 'NOTED' ? notedAt(row) : undefined}
        {@const more = remarks(row, profile)}
        {#if begins.includes(row)}
          <tr class="border-t border-rule-strong"
            ><th class="pt-3 pb-1 text-left" scope="rowgroup" colspan={hasMenu ? 6 : 5}>{name(first.at)}</th
            ></tr
          >
        {/if}
        <tr
          class="border-t border-rule align-top {all.some((one) => one.problem)
            ? 'text-danger'
            : first.hidden
              ? 'text-caution'
              : ''}"
        >
          {#if hasMenu}<td class="number py-1 pr-4 whitespace-nowrap max-sm:pr-2">{first.menu ?? ''}</td>{/if}
          <td class="py-1 pr-4 max-sm:pr-2"
            ><span>{first.kind === 'POSITION' ? 'position' : first.label}</span><span
              class="block text-sm text-soft sm:hidden">{more.join('; ')}</span
            ></td
          >
          <td class="number py-1 pr-4 text-right text-lg font-bold max-sm:pr-0 max-sm:whitespace-normal">
            {#if noted}<NotedEntry {editor} {device} knob={noted} {readonly} />
            {:else}{entered(first) || '–'}{/if}
            {#if !saysTheSame(row)}<span class="block text-sm font-normal sm:hidden">{@render does(row)}</span
              >{/if}
          </td>
          <td class="number py-1 pr-4 text-right max-sm:hidden">{@render does(row)}</td>
          <td class="number py-1 pr-4 text-right text-soft max-sm:hidden"
            >{isAsItComes(first) ? 'same' : (factory(first) ?? '')}</td
          >
          <td class="py-1 text-sm max-sm:hidden">
            {more.join('; ')}
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
