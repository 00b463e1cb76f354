<script lang="ts">
  import type { FittedDevice } from '../lib/api/api';
  import {
    actsOtherwise,
    entered,
    factory,
    isAsItComes,
    keyOf,
    remarks,
    told,
    type Row,
  } from './deviceSheet';
  import NotedEntry from './NotedEntry.svelte';
  import type { PlanEditor } from './planEditor.svelte';

  /** An entry of a device's menu: what is entered, what that does, how it comes, and what is to be known of it. */
  interface Props {
    editor: PlanEditor;
    device: FittedDevice;
    row: Row;
    /** Whether the device numbers its entries. */
    hasMenu: boolean;
    /** The part whose entries begin here; empty within it. */
    part: string;
    readonly: boolean;
  }
  let { editor, device, row, hasMenu, part, readonly }: Props = $props();

  const first = $derived(row.first);
  const all = $derived(row.all);
  const more = $derived(remarks(row, device.profile));
  const noted = $derived.by(() => {
    const knob = device.profile.knobs.find((one) => keyOf(one) === first.entry);
    return first.kind === 'NOTED' && knob?.kind === 'noted' ? knob : undefined;
  });
  /** What the device does is said as it is entered: on a phone that stands once. */
  const saysTheSame = $derived(
    all.length === 1 &&
      !actsOtherwise(first) &&
      told(first, first.effective, first.effectiveWord) === entered(first),
  );
</script>

{#snippet does()}{#each all as one (one.path)}<span class="block"
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

{#if part}
  <tr class="border-t border-rule-strong"
    ><th class="pt-3 pb-1 text-left" scope="rowgroup" colspan={hasMenu ? 6 : 5}>{part}</th></tr
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
    {#if !saysTheSame}<span class="block text-sm font-normal sm:hidden">{@render does()}</span>{/if}
  </td>
  <td class="number py-1 pr-4 text-right max-sm:hidden">{@render does()}</td>
  <td class="number py-1 pr-4 text-right text-soft max-sm:hidden"
    >{isAsItComes(first) ? 'same' : (factory(first) ?? '')}</td
  >
  <td class="py-1 text-sm max-sm:hidden">
    {more.join('; ')}
    {#if first.assumed}<span class="font-bold text-caution">assumed until measured</span>{/if}
  </td>
</tr>
