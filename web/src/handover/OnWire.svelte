<script lang="ts">
  import { shownNumber } from '../lib/along/local';
  import type { NewConnection, WiredDevice } from '../lib/api/api';
  import { measuredNumber } from '../lib/live/siteNow.svelte';
  import { decimal, minute } from '../lib/sentence/quantity';
  import Action from '../lib/shell/Action.svelte';
  import { FIELD } from '../lib/shell/fieldLook';
  import Said from '../lib/shell/Said.svelte';
  import { session } from '../lib/shell/session.svelte';
  import SeverityMark from '../lib/shell/SeverityMark.svelte';
  import type { Line } from '../lib/tape/tape';
  import MeasuredPart from './MeasuredPart.svelte';
  import TransferSteps from './TransferSteps.svelte';
  import { DeviceWire, type Wires } from './wires.svelte';

  /** A device on the wire: what it measures now, reading it, and what goes into it. */
  interface Props {
    wires: Wires;
    wired: WiredDevice;
    /** What the device is called. */
    device: string;
    /** The newest revision. */
    revision: number;
    /** What a part is called, by its id. */
    name: (id: string) => string;
    readonly: boolean;
    zone: string;
    /** Places of its entries, in the order of its menu. */
    menu: string[];
    /** Levels of the plan (V), drawn through what was measured. */
    levels: Line[];
    changed: () => void;
  }
  let { wires, wired, device, revision, name, readonly, zone, menu, levels, changed }: Props = $props();

  // A device keeps its place on the page as long as it is the same one.
  // svelte-ignore state_referenced_locally
  const line = new DeviceWire(wires, wired.device, () => changed());
  const connection = $derived(wired.connection);
  const mayWrite = $derived(!readonly && session.person?.writesToDevices === true);
  let connecting = $state(false);
  const FRESH: NewConnection = { host: '', port: 502, unit: 1, readEveryHours: 24 };
  let at = $state<NewConnection>({ ...FRESH });

  $effect(() => {
    if (connection) return line.follow();
  });
  $effect(() => {
    if (wired.transfer?.running) line.look();
  });

  const measured = $derived(line.live?.measured);
  const numbers = $derived(
    Object.entries(measured?.numbers ?? {}).map(([what, value]) => measuredNumber(what, value)),
  );
  const contacts = $derived(Object.entries(measured?.closed ?? {}));
  /** Contacts that stand otherwise than their rules make of what is measured. */
  const otherwise = $derived(
    contacts.filter(([id, closed]) => line.live?.shouldBeClosed[id] === !closed).map(([id]) => id),
  );
  const beyond = $derived(line.live?.beyond);
  const watts = (value: number) => `${decimal(value, 0)} W`;

  function begin() {
    at = connection ? { ...connection.at, readEveryHours: connection.readEveryHours } : { ...FRESH };
    connecting = true;
  }

  async function connect(event: SubmitEvent) {
    event.preventDefault();
    if (await line.connect(at)) connecting = false;
  }
</script>

<div class="mt-3 grid gap-3">
  {#if connecting}
    <form class="flex flex-wrap items-end gap-3" onsubmit={connect} novalidate>
      <label class="grid gap-1"
        >address
        <input
          class="{FIELD} number w-48"
          autocomplete="off"
          placeholder="192.168.4.20"
          bind:value={at.host}
        /></label
      >
      <label class="grid gap-1"
        >port <input class="{FIELD} number w-24" type="number" bind:value={at.port} /></label
      >
      <label class="grid gap-1"
        >unit <input class="{FIELD} number w-20" type="number" bind:value={at.unit} /></label
      >
      <label class="grid gap-1"
        >read again every, h
        <input
          class="{FIELD} number w-24"
          type="number"
          placeholder="never"
          value={at.readEveryHours ?? ''}
          oninput={(event) => (at.readEveryHours = event.currentTarget.valueAsNumber || undefined)}
        /></label
      >
      <Action main type="submit" disabled={line.busy !== ''}>Connect {device}</Action>
      <Action onclick={() => (connecting = false)}>Leave it</Action>
    </form>
  {:else if !connection}
    <p class="flex flex-wrap items-center gap-x-4 gap-y-1">
      <span class="text-soft">It has a wire and is not connected: its numbers are typed by hand.</span>
      {#if mayWrite}<Action onclick={begin}>Connect {device}</Action>{/if}
    </p>
  {:else}
    <p class="flex flex-wrap items-baseline gap-x-4 gap-y-1" aria-label="{device} now">
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
    {#each otherwise as id (id)}
      <p>
        <SeverityMark severity="CAUTION" brief />
        <b>{name(id)} is {measured?.closed[id] ? 'on' : 'off'}</b>; revision {shownNumber(revision)} would have
        it {measured?.closed[id] ? 'off' : 'on'} at these numbers.
      </p>
    {/each}
    {#if beyond}
      <p>
        <SeverityMark severity="CAUTION" brief />
        <b><span class="number">{watts(beyond.measuredWatts)}</span> to loads</b>, where the plan has at most
        <span class="number">{watts(beyond.plannedWatts)}</span> at this hour.
        {#if beyond.explanations.length > 0}
          It would be {beyond.explanations.map((one) => one.join(' with ')).join(', or ')}.
        {:else}
          No load of the plan, and no two, would explain it.
        {/if}
      </p>
    {/if}
    <MeasuredPart site={wires.site} device={wired.device} called={device} {zone} {levels} />
    <p class="flex flex-wrap items-center gap-3">
      {#if !readonly}
        <Action onclick={() => line.read()} disabled={line.busy !== ''}
          >{line.busy === 'read' ? 'Reading it' : `Read ${device} over the wire`}</Action
        >
      {/if}
      {#if mayWrite && (!wired.transfer || wired.transfer.ended)}
        <Action onclick={() => line.prepare()} disabled={line.busy !== ''}
          >{line.busy === 'prepare'
            ? 'Comparing it'
            : `Send revision ${shownNumber(revision)} to ${device}`}</Action
        >
      {/if}
    </p>
    <p class="flex flex-wrap items-center gap-x-4 text-sm">
      <span class="text-soft">
        <span class="number">{connection.at.host}</span>, port
        <span class="number">{connection.at.port}</span>, unit
        <span class="number">{connection.at.unit}</span>{connection.readEveryHours
          ? `; read again every ${connection.readEveryHours} h`
          : ''}{connection.silentSince
          ? `; silent since ${minute(Date.parse(connection.silentSince), zone)}`
          : ''}
      </span>
      {#if mayWrite && (!wired.transfer || wired.transfer.ended)}
        <button type="button" class="min-h-11 underline" aria-label="elsewhere: {device}" onclick={begin}
          >elsewhere</button
        >
        <button
          type="button"
          class="min-h-11 underline"
          aria-label="disconnect {device}"
          onclick={() => line.disconnect()}>disconnect</button
        >
      {/if}
    </p>
  {/if}
  {#if line.problem && !line.problem.errors?.some((one) => one.pointer.startsWith('/shown') || one.pointer === '/meterVolts')}
    <Said problem={line.problem} />
  {/if}
  {#if wired.transfer}
    <TransferSteps {line} transfer={wired.transfer} {device} {name} {mayWrite} {zone} {menu} />
  {/if}
</div>
