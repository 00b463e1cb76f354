<script lang="ts">
  import type { Connection, WiredDevice } from '../lib/api/api';
  import { decimal } from '../lib/sentence/quantity';
  import Action from '../lib/shell/Action.svelte';
  import { FIELD } from '../lib/shell/fieldLook';
  import Said from '../lib/shell/Said.svelte';
  import { session } from '../lib/shell/session.svelte';
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
    changed: () => void;
  }
  let { wires, wired, device, revision, name, readonly, zone, menu, changed }: Props = $props();

  // A device keeps its place on the page as long as it is the same one.
  // svelte-ignore state_referenced_locally
  const line = new DeviceWire(wires, wired.device, () => changed());
  const connection = $derived(wired.connection);
  const mayWrite = $derived(!readonly && session.person?.writesToDevices === true);
  let connecting = $state(false);
  let at = $state<Connection>({ host: '', port: 502, unit: 1 });

  $effect(() => {
    if (connection) return line.follow();
  });
  $effect(() => {
    if (wired.transfer?.running) line.look();
  });

  const NUMBERS: Record<string, string> = {
    BATTERY_VOLTS: 'V',
    CHARGE_PERCENT: '%',
    ARRAY_WATTS: 'W from the arrays',
    LOAD_WATTS: 'W to loads',
  };
  const DIGITS: Record<string, number> = { BATTERY_VOLTS: 2, BATTERY_AMPERES: 1, CHARGE_PERCENT: 1 };
  const told = (what: string, value: number) => {
    const number = decimal(Number(Math.abs(value).toFixed(DIGITS[what] ?? 0)));
    if (what !== 'BATTERY_AMPERES') return `${number} ${NUMBERS[what]}`;
    return `${number} A ${value < 0 ? 'out of' : 'into'} the battery`;
  };
  const numbers = $derived(
    Object.entries(line.measured?.numbers ?? {}).map(([what, value]) => told(what, value)),
  );
  const contacts = $derived(
    Object.entries(line.measured?.closed ?? {}).map(([id, closed]) => `${name(id)} ${closed ? 'on' : 'off'}`),
  );

  function begin() {
    at = connection ? { ...connection } : { host: '', port: 502, unit: 1 };
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
      {:else if line.measured}
        {#each numbers as number, i (number)}<span class="number {i === 0 ? 'text-2xl font-bold' : 'text-lg'}"
            >{number}</span
          >{/each}
        {#if contacts.length > 0}<span>{contacts.join(', ')}</span>{/if}
      {:else}
        <span class="text-soft">Asking it</span>
      {/if}
    </p>
    <p class="flex flex-wrap items-center gap-3">
      {#if !readonly}
        <Action onclick={() => line.read()} disabled={line.busy !== ''}
          >{line.busy === 'read' ? 'Reading it' : `Read ${device} over the wire`}</Action
        >
      {/if}
      {#if mayWrite && (!wired.transfer || wired.transfer.ended)}
        <Action onclick={() => line.prepare()} disabled={line.busy !== ''}
          >{line.busy === 'prepare' ? 'Comparing it' : `Send revision ${revision} to ${device}`}</Action
        >
      {/if}
      <span class="text-soft">
        <span class="number">{connection.host}</span>, port <span class="number">{connection.port}</span>,
        unit
        <span class="number">{connection.unit}</span>
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
