<script lang="ts">
  import { shownNumber } from '../lib/along/local';
  import type { WiredDevice } from '../lib/api/api';
  import { minute } from '../lib/sentence/quantity';
  import Action from '../lib/shell/Action.svelte';
  import Said from '../lib/shell/Said.svelte';
  import { session } from '../lib/shell/session.svelte';
  import type { Line } from '../lib/tape/plot';
  import ConnectForm from './ConnectForm.svelte';
  import MeasuredPart from './MeasuredPart.svelte';
  import TransferSteps from './TransferSteps.svelte';
  import { DeviceWire, type Wires } from './wires.svelte';
  import WireNow from './WireNow.svelte';

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

  $effect(() => {
    if (connection) return line.follow();
  });
  $effect(() => {
    if (wired.transfer?.running) line.look();
  });
</script>

<div class="mt-3 grid gap-3">
  {#if connecting}
    <ConnectForm
      {line}
      {device}
      begin={connection && { ...connection.at, readEveryHours: connection.readEveryHours }}
      done={() => (connecting = false)}
    />
  {:else if !connection}
    <p class="flex flex-wrap items-center gap-x-4 gap-y-1">
      <span class="text-soft">It has a wire and is not connected: its numbers are typed by hand.</span>
      {#if mayWrite}<Action onclick={() => (connecting = true)}>Connect {device}</Action>{/if}
    </p>
  {:else}
    <WireNow {line} {device} {revision} {name} />
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
        <button
          type="button"
          class="min-h-11 underline"
          aria-label="elsewhere: {device}"
          onclick={() => (connecting = true)}>elsewhere</button
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
