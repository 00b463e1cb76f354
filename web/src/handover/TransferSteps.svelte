<script lang="ts">
  import type { TransferView } from '../lib/api/api';
  import { day } from '../lib/sentence/quantity';
  import Action from '../lib/shell/Action.svelte';
  import { FIELD } from '../lib/shell/fieldLook';
  import SeverityMark from '../lib/shell/SeverityMark.svelte';
  import TransferChanges from './TransferChanges.svelte';
  import TransferCompare from './TransferCompare.svelte';
  import type { DeviceWire } from './wires.svelte';

  /** What goes into a device, step by step: what changes, what drops, display and meter, writing, and what came of it. */
  interface Props {
    line: DeviceWire;
    transfer: TransferView;
    /** What the device is called. */
    device: string;
    /** What a part is called, by its id. */
    name: (id: string) => string;
    mayWrite: boolean;
    zone: string;
    /** Places of its entries, in the order of its menu. */
    menu: string[];
  }
  let { line, transfer, device, name, mayWrite, zone, menu }: Props = $props();

  let password = $state('');

  const content = $derived(transfer.content);
  const count = $derived(content.changes.length);
  const entries = (number: number) => `${number} ${number === 1 ? 'entry' : 'entries'}`;
  const looked = $derived(transfer.stage === 'PREPARED' || transfer.stage === 'CHECKED');

  function send(how: 'sending' | 'rolling-back') {
    void line.send(transfer, how, password.trim() === '' ? undefined : Number(password));
    password = '';
  }

  const DOING = { WRITING: 'Writing', SAVING: 'Saving', COMPARING: 'Reading back' } as Record<string, string>;
</script>

{#snippet passwordField()}
  {#if content.asksPassword}
    <label class="grid gap-1"
      >password of {device}
      <input
        class="{FIELD} number w-32"
        inputmode="numeric"
        autocomplete="off"
        bind:value={password}
      /></label
    >
  {/if}
{/snippet}

{#if transfer.ended}
  <p role="status">
    {#if transfer.stage === 'DONE'}
      <b>{entries(count)} written, saved and read back</b> on {day(transfer.begunAt, zone)}, revision {transfer.revision}.
    {:else}
      <b>Rolled back</b> on {day(transfer.begunAt, zone)}: {entries(count)} as before.
    {/if}
  </p>
{:else}
  <section class="grid gap-4 border-l-4 border-ink pl-4" aria-label="Into {device}">
    <h3 class="text-lg font-bold">Revision {transfer.revision} into {device}</h3>
    <TransferChanges {transfer} {name} {menu} />
    {#if content.dropping}
      <p class="max-w-3xl">
        <SeverityMark severity="CAUTION" />
        While it saves: {content.dropping}.
        {#if content.dropsWhileSaving.length > 0}<b
            >Off for that long: {content.dropsWhileSaving.join(', ')}.</b
          >{/if}
      </p>
    {/if}
    {#if content.dropsAfter.length > 0}
      <p class="max-w-3xl">
        <SeverityMark severity="DANGER" />
        <b>Off as soon as it is written: {content.dropsAfter.join(', ')}.</b> The battery is below their new level.
      </p>
    {/if}
    {#if transfer.running}
      <p role="status" class="text-lg">
        {transfer.rollsBack ? 'Rolling back: ' : ''}{DOING[transfer.stage] ?? 'Writing'}
        {#if transfer.stage === 'WRITING'}<span class="number">{transfer.written} of {count}</span>{/if}
      </p>
    {:else if looked && mayWrite}
      {#if transfer.stage === 'PREPARED'}
        <TransferCompare {line} {transfer} {device} {name} />
      {:else}
        <p>Display and meter agree with the wire.</p>
        <div class="flex flex-wrap items-end gap-3">
          {@render passwordField()}
          <Action main onclick={() => send('sending')} disabled={line.busy !== ''}
            >Write {entries(count)} into {device}</Action
          >
          <Action onclick={() => line.leave(transfer)} disabled={line.busy !== ''}>Leave it</Action>
        </div>
      {/if}
    {:else if !looked}
      <p class="max-w-3xl" role="alert">
        <SeverityMark severity="DANGER" />
        <b>Half done: {device} may hold some of this and not the rest.</b>
        {transfer.problem ?? 'It was cut off here.'}
      </p>
      {#if mayWrite}
        <div class="flex flex-wrap items-end gap-3">
          {@render passwordField()}
          <Action main onclick={() => send('sending')} disabled={line.busy !== ''}>Send the rest</Action>
          <Action onclick={() => send('rolling-back')} disabled={line.busy !== ''}
            >Put back what was there</Action
          >
        </div>
      {/if}
    {:else}
      <p class="text-soft">Who may write to devices sends it or leaves it.</p>
    {/if}
  </section>
{/if}
