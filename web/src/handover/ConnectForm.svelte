<script lang="ts">
  import { untrack } from 'svelte';
  import type { NewConnection } from '../lib/api/api';
  import Action from '../lib/shell/Action.svelte';
  import { FIELD } from '../lib/shell/fieldLook';
  import type { DeviceWire } from './wires.svelte';

  /** Where a device is reached, and how often it is read again. */
  interface Props {
    line: DeviceWire;
    /** What the device is called. */
    device: string;
    /** Where it is reached now, if it is. */
    begin: NewConnection | undefined;
    done: () => void;
  }
  let { line, device, begin, done }: Props = $props();

  let at = $state<NewConnection>(
    untrack(() => begin ?? { host: '', port: 502, unit: 1, readEveryHours: 24 }),
  );

  async function connect(event: SubmitEvent) {
    event.preventDefault();
    if (await line.connect(at)) done();
  }
</script>

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
  <Action onclick={done}>Leave it</Action>
</form>
