<script lang="ts">
  import type { TransferView } from '../lib/api/api';
  import Action from '../lib/shell/Action.svelte';
  import { FIELD } from '../lib/shell/fieldLook';
  import type { DeviceWire } from './wires.svelte';

  /** What the device's own display and a meter show, typed: nothing is written before it agrees with the wire. */
  interface Props {
    line: DeviceWire;
    transfer: TransferView;
    /** What the device is called. */
    device: string;
    /** What a part is called, by its id. */
    name: (id: string) => string;
  }
  let { line, transfer, device, name }: Props = $props();

  let shown = $state<Record<string, string>>({});
  let meter = $state('');
  const content = $derived(transfer.content);
  const label = (one: { label: string; at: string }) => `${one.label}, ${name(one.at)}`;

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
</script>

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
