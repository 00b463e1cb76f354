<script lang="ts">
  import type { FittedDevice } from '../lib/api/api';
  import Action from '../lib/shell/Action.svelte';
  import { FIELD } from '../lib/shell/fieldLook';
  import Menu from '../lib/shell/Menu.svelte';
  import Trouble from '../lib/shell/Trouble.svelte';
  import DeviceSheet from './DeviceSheet.svelte';
  import DeviceDoes from './DeviceDoes.svelte';
  import DeviceFacts from './DeviceFacts.svelte';
  import DeviceLinks from './DeviceLinks.svelte';
  import FitDevice from './FitDevice.svelte';
  import { Fitting, STATES } from './fitting.svelte';
  import type { PlanEditor } from './planEditor.svelte';

  /** The program as each device wants it typed in, with what the device then really does. */
  let { editor, readonly }: { editor: PlanEditor; readonly: boolean } = $props();

  // svelte-ignore state_referenced_locally
  const fitting = new Fitting(editor);
  void fitting.load();
  const plan = $derived(editor.plan);
  const settings = $derived(editor.reading?.settings ?? []);

  /** The device whose kind is being changed. */
  let making = $state<string>();

  const of = (device: FittedDevice) => settings.filter((one) => one.device === device.id);
</script>

{#if plan}
  <section class="max-w-7xl px-4 py-4 md:px-6" aria-labelledby="devices">
    <div class="flex flex-wrap items-center gap-4">
      <h2 id="devices">Settings by device</h2>
      <p class="grow text-soft">
        What is typed into each device; what it makes of it is what is simulated and checked.
      </p>
      {#if !readonly}<Action onclick={() => (fitting.open = !fitting.open)} aria-expanded={fitting.open}
          >Fit a device…</Action
        >{/if}
    </div>
    {#if fitting.problem}<Trouble problem={fitting.problem} retry={() => fitting.load()} />{/if}
    {#if fitting.open}
      <FitDevice {fitting} {plan} made={(device) => (making = device)} />
    {/if}
    {#each fitting.devices as device (device.id)}
      <article class="mt-6" aria-labelledby="device-{device.id}">
        <div class="flex flex-wrap items-center gap-x-4 border-b border-rule pb-1">
          <h3 id="device-{device.id}">{device.name}</h3>
          <p class="grow text-soft">{device.profile.name === device.name ? '' : device.profile.name}</p>
          <select
            class={FIELD}
            disabled={readonly}
            aria-label="State of {device.name}"
            value={fitting.stateOf(device)}
            onchange={(event) => fitting.setStateOf(device, event.currentTarget.value)}
          >
            {#each STATES as [key, word] (key)}<option value={key}>{word}</option>{/each}
          </select>
          {#if !readonly}
            <Menu label="More for {device.name}">
              <button
                type="button"
                class="flex min-h-11 items-center px-4 text-left hover:bg-sunk"
                aria-label="Take {device.name} out"
                onclick={() => fitting.remove(device)}>Take out</button
              >
              <button
                type="button"
                class="flex min-h-11 items-center px-4 text-left hover:bg-sunk"
                aria-expanded={making === device.id}
                aria-label="Change the kind of {device.name}"
                onclick={() => (making = making === device.id ? undefined : device.id)}
                >Change its kind…</button
              >
            </Menu>
          {/if}
        </div>
        <DeviceFacts {editor} {device} {readonly} />
        {#if making === device.id}
          {#await import('./ProfileEditor.svelte') then { default: ProfileEditor }}
            <ProfileEditor {editor} {plan} {device} {readonly} done={() => (making = undefined)} />
          {/await}
        {/if}
        <div class="xl:grid xl:grid-cols-[minmax(0,1fr)_18rem] xl:gap-x-8">
          <div class="min-w-0"><DeviceSheet {editor} {plan} {device} rows={of(device)} {readonly} /></div>
          <DeviceDoes {plan} {device} reading={editor.reading} />
        </div>
      </article>
    {:else}
      {#if !fitting.open}
        <p class="mt-4">
          No device is fitted: every number is taken as it is written. Fit one to see what has to be typed
          into it.
        </p>
      {/if}
    {/each}
    <DeviceLinks {editor} {plan} {readonly} />
  </section>
{/if}
