<script lang="ts">
  import { shownNumber } from '../lib/along/local';
  import { measuredNumber } from '../lib/live/siteNow.svelte';
  import { decimal } from '../lib/sentence/quantity';
  import SeverityMark from '../lib/shell/SeverityMark.svelte';
  import type { DeviceWire } from './wires.svelte';

  /** What a device measures now, and what of it is otherwise than the plan would have it. */
  interface Props {
    line: DeviceWire;
    /** What the device is called. */
    device: string;
    /** The newest revision. */
    revision: number;
    /** What a part is called, by its id. */
    name: (id: string) => string;
  }
  let { line, device, revision, name }: Props = $props();

  const measured = $derived(line.live?.measured);
  const numbers = $derived(
    Object.entries(measured?.numbers ?? {}).map(([what, value]) => measuredNumber(what, value)),
  );
  const contacts = $derived(Object.entries(measured?.closed ?? {}));
  /** Contacts that stand otherwise than their rules make of what is measured. */
  const otherwise = $derived(
    contacts.filter(([id, closed]) => line.live?.shouldBeClosed[id] === !closed).map(([id]) => id),
  );
  const [first, ...rest] = $derived(otherwise);
  const beyond = $derived(line.live?.beyond);
  const watts = (value: number) => `${decimal(value, 0)} W`;
</script>

<p class="flex min-h-9 flex-wrap items-baseline gap-x-4 gap-y-1" aria-label="{device} now">
  {#if line.silent}
    <span class="text-danger">{line.silent.detail}</span>
  {:else if measured}
    {#each numbers as number, i (number)}<span class="number {i === 0 ? 'text-2xl font-bold' : 'text-lg'}"
        >{number}</span
      >{/each}
    {#each contacts as [id, closed] (id)}<span>{name(id)} {closed ? 'on' : 'off'}</span>{/each}
  {:else}
    <span class="text-soft">Asking it</span>
  {/if}
</p>
{#snippet stands(id: string)}
  <SeverityMark severity="CAUTION" brief />
  <b>{name(id)} is {measured?.closed[id] ? 'on' : 'off'}</b>; revision {shownNumber(revision)} would have it {measured
    ?.closed[id]
    ? 'off'
    : 'on'} at these numbers.
{/snippet}
{#snippet draws()}
  {#if beyond}
    <SeverityMark severity="CAUTION" brief />
    <b><span class="number">{watts(beyond.measuredWatts)}</span> to loads</b>, where the plan has at most
    <span class="number">{watts(beyond.plannedWatts)}</span> at this hour.
    {#if beyond.explanations.length > 0}
      It would be {beyond.explanations.map((one) => one.join(' with ')).join(', or ')}.
    {:else}
      No load of the plan, and no two, would explain it.
    {/if}
  {/if}
{/snippet}
<!-- A line is kept for it, so that nothing moves when the device answers. -->
<div class="flex min-h-7 flex-wrap items-baseline gap-x-4">
  {#if first !== undefined}<p>{@render stands(first)}</p>
  {:else if beyond}<p>{@render draws()}</p>
  {:else if measured}<p class="text-soft">No contact is seen to stand otherwise than planned.</p>{/if}
  {#if first !== undefined && (rest.length > 0 || beyond)}
    <details>
      <summary class="cursor-pointer underline">and {rest.length + (beyond ? 1 : 0)} more</summary>
      {#each rest as id (id)}<p>{@render stands(id)}</p>{/each}
      {#if beyond}<p>{@render draws()}</p>{/if}
    </details>
  {/if}
</div>
