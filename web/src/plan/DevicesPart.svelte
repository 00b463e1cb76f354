<script lang="ts">
  import type { DeviceProfile, FittedDevice } from '../lib/api/api';
  import Action from '../lib/shell/Action.svelte';
  import { FIELD } from '../lib/shell/fieldLook';
  import { partName } from '../lib/shell/parts';
  import Menu from '../lib/shell/Menu.svelte';
  import FileChoice from '../lib/shell/FileChoice.svelte';
  import Trouble from '../lib/shell/Trouble.svelte';
  import DeviceSheet from './DeviceSheet.svelte';
  import DeviceDoes from './DeviceDoes.svelte';
  import DeviceFacts from './DeviceFacts.svelte';
  import DeviceLinks from './DeviceLinks.svelte';
  import { Fitting, NEW, STATES } from './fitting.svelte';
  import type { PlanEditor } from './planEditor.svelte';

  /** The program as each device wants it typed in, with what the device then really does. */
  let { editor, readonly }: { editor: PlanEditor; readonly: boolean } = $props();

  // svelte-ignore state_referenced_locally
  const fitting = new Fitting(editor);
  void fitting.load();
  const plan = $derived(editor.plan);
  const settings = $derived(editor.reading?.settings ?? []);

  async function own(event: Event & { currentTarget: HTMLInputElement }) {
    const input = event.currentTarget;
    const file = input.files?.[0];
    if (file) await fitting.take(file);
    // Emptied, so that the same file can be chosen again once it is mended.
    input.value = '';
  }

  function fit(event: SubmitEvent) {
    event.preventDefault();
    const isNew = fitting.kind === NEW;
    const fitted = fitting.fit();
    if (isNew) making = fitted;
  }

  /** The device whose kind is being changed. */
  let making = $state<string>();

  const of = (device: FittedDevice) => settings.filter((one) => one.device === device.id);
  const blob = (profile: DeviceProfile) =>
    `data:application/json;charset=utf-8,${encodeURIComponent(JSON.stringify(profile, null, 2))}`;
</script>

{#snippet holds(says: string, ids: string[], chosen: string, choose: (id: string) => void)}
  <label class="grid gap-1 text-sm text-soft"
    >{says}
    <select class={FIELD} value={chosen} onchange={(event) => choose(event.currentTarget.value)}>
      <option value="">none</option>
      {#each ids as id (id)}<option value={id}>{plan ? partName(plan, id) : id}</option>{/each}
    </select>
  </label>
{/snippet}

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
      <form
        class="mt-3 grid max-w-2xl gap-3 border-l-4 border-ink bg-raised p-3"
        onsubmit={fit}
        aria-label="Fit a device"
      >
        <div class="flex flex-wrap items-end gap-3">
          <label class="grid gap-1 text-sm text-soft"
            >kind of device
            <select class={FIELD} bind:value={fitting.kind}>
              {#each fitting.offered as one, i (i)}<option value={String(i)}>{one.name}</option>{/each}
              <option value={NEW}>a new kind, to be made</option>
            </select>
          </label>
          <FileChoice says="or one of your own (JSON)" accept=".json,application/json" take={own} />
          {#if fitting.chosen}
            <a
              class="flex min-h-11 items-center underline"
              href={blob(fitting.chosen)}
              download="{fitting.chosen.id}.json">Take this one as a start</a
            >
          {/if}
        </div>
        <label class="grid gap-1 text-sm text-soft"
          >what the crew calls it
          <input class={FIELD} bind:value={fitting.name} maxlength="120" placeholder={fitting.chosen?.name} />
        </label>
        {#if fitting.chosen && fitting.chosen.outputs > 0}
          <fieldset>
            <legend class="text-sm text-soft">outputs it switches, {fitting.chosen.outputs} at most</legend>
            {#each fitting.free as one (one.id)}
              <label class="flex min-h-9 items-center gap-2"
                ><input
                  type="checkbox"
                  class="size-5 accent-ink"
                  value={one.id}
                  bind:group={fitting.outputs}
                  disabled={!fitting.outputs.includes(one.id) &&
                    fitting.outputs.length >= fitting.chosen.outputs}
                />{one.name}</label
              >
            {:else}<p>Every output is in a device already.</p>{/each}
          </fieldset>
        {/if}
        {#if fitting.sets('charging')}
          {@render holds(
            'charger whose setpoints it holds',
            fitting.chargers,
            fitting.charger,
            (id) => (fitting.charger = id),
          )}
        {/if}
        {#if fitting.sets('ac', 'inverter') && fitting.inverters.length > 0}
          {@render holds(
            'inverter whose levels and AC side it holds',
            fitting.inverters.map((one) => one.id),
            fitting.inverter,
            (id) => (fitting.inverter = id),
          )}
        {/if}
        {#if fitting.sets('monitor') && fitting.monitors.length > 0}
          {@render holds(
            'monitor whose settings it holds',
            fitting.monitors.map((one) => one.id),
            fitting.monitor,
            (id) => (fitting.monitor = id),
          )}
        {/if}
        <div class="flex gap-2">
          <Action main type="submit" disabled={!fitting.chosen}>Fit it</Action>
          <Action onclick={() => (fitting.open = false)}>Cancel</Action>
        </div>
      </form>
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
