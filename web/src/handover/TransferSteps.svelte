<script lang="ts">
  import type { TransferView } from '../lib/api/api';
  import { day } from '../lib/sentence/quantity';
  import Action from '../lib/shell/Action.svelte';
  import { FIELD } from '../lib/shell/fieldLook';
  import SeverityMark from '../lib/shell/SeverityMark.svelte';
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

  let shown = $state<Record<string, string>>({});
  let meter = $state('');
  let password = $state('');

  const content = $derived(transfer.content);
  const count = $derived(content.changes.length);
  const changes = $derived(
    [...content.changes].sort((one, other) => menu.indexOf(one.place) - menu.indexOf(other.place)),
  );
  const entries = (number: number) => `${number} ${number === 1 ? 'entry' : 'entries'}`;
  const looked = $derived(transfer.stage === 'PREPARED' || transfer.stage === 'CHECKED');
  const label = (one: { label: string; at: string }) => `${one.label}, ${name(one.at)}`;
  const unit = (value: string, one: { unit: string }) => `${value} ${one.unit}`.trim();

  function refusal(pointer: string): string | undefined {
    return line.problem?.errors
      ?.find((error) => error.pointer.replaceAll('~1', '/').replaceAll('~0', '~') === pointer)
      ?.detail.replace(/^(shown\.\S+|meterVolts): /, '');
  }

  function compare(event: SubmitEvent) {
    event.preventDefault();
    const volts = Number(meter.replace(',', '.'));
    void line.compare(transfer, shown, content.asksVolts && meter.trim() !== '' ? volts : undefined);
  }

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
    <ul>
      {#each changes as one, i (one.place)}
        {#if one.at !== changes[i - 1]?.at}<li class="pt-2 font-bold">{name(one.at)}</li>{/if}
        <li
          class="grid max-w-3xl grid-cols-[minmax(0,1fr)_auto_auto] items-baseline gap-x-4 border-t border-rule py-1"
        >
          <span>{one.label}</span>
          <span class="number text-soft">{unit(one.holds, one)} →</span>
          <b class="number text-right text-lg">{unit(one.planned, one)}</b>
        </li>
      {/each}
    </ul>
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
        <form class="grid max-w-3xl gap-3" onsubmit={compare} novalidate>
          <p>
            Stand before {device} and type what you see. Nothing is written before it agrees with the wire.
          </p>
          {#each content.asked as one (one.place)}
            {@const wrong = refusal(`/shown/${one.place.replaceAll('.', '/')}`)}
            <label class="grid grid-cols-[minmax(0,1fr)_auto] items-center gap-x-4"
              ><span>its display at <b>{label(one)}</b>{one.unit ? ` (${one.unit})` : ''}</span>
              <input
                class="{FIELD} number w-32"
                inputmode="decimal"
                autocomplete="off"
                aria-invalid={wrong ? 'true' : undefined}
                value={shown[one.place] ?? ''}
                oninput={(event) => (shown = { ...shown, [one.place]: event.currentTarget.value })}
              />
              {#if wrong}<span class="col-span-2 text-danger" role="alert">{wrong}</span>{/if}</label
            >
          {/each}
          {#if content.asksVolts}
            {@const wrong = refusal('/meterVolts')}
            <label class="grid grid-cols-[minmax(0,1fr)_auto] items-center gap-x-4"
              ><span><b>a meter at the battery</b> (V)</span>
              <input
                class="{FIELD} number w-32"
                inputmode="decimal"
                autocomplete="off"
                aria-invalid={wrong ? 'true' : undefined}
                bind:value={meter}
              />
              {#if wrong}<span class="col-span-2 text-danger" role="alert">{wrong}</span>{/if}</label
            >
          {/if}
          <div class="flex flex-wrap gap-3">
            <Action main type="submit" disabled={line.busy !== ''}
              >{line.busy === 'compare' ? 'Comparing' : 'Compare with the wire'}</Action
            >
            <Action onclick={() => line.leave(transfer)} disabled={line.busy !== ''}>Leave it</Action>
          </div>
        </form>
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
