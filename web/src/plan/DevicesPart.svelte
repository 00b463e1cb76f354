<script lang="ts">
  import type { DeviceProfile, FittedDevice, Setting } from '../lib/api/api';
  import { believable, duration } from '../lib/sentence/quantity';
  import Action from '../lib/shell/Action.svelte';
  import { FIELD } from '../lib/shell/fieldLook';
  import { partName } from '../lib/shell/parts';
  import FileChoice from '../lib/shell/FileChoice.svelte';
  import Trouble from '../lib/shell/Trouble.svelte';
  import { Fitting, STATES } from './fitting.svelte';
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
    fitting.fit();
  }

  const of = (device: FittedDevice) => settings.filter((one) => one.device === device.id);
  /** A unit that is itself a number, such as 0.1 h, is said as a factor. */
  const unitShown = (one: Setting) => (one.unit.match(/^\d/) ? `× ${one.unit}` : one.unit);
  const told = (one: Setting, value: number) =>
    one.planUnit === 's' ? duration(value) : `${believable(value)} ${one.planUnit}`;
  const blob = (profile: DeviceProfile) =>
    `data:application/json;charset=utf-8,${encodeURIComponent(JSON.stringify(profile, null, 2))}`;
</script>

{#if plan}
  <section class="max-w-5xl px-4 py-4 md:px-6" aria-labelledby="devices">
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
              {#each fitting.kinds ?? [] as one (one.id)}<option value={one.id}>{one.name}</option>{/each}
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
        {#if fitting.chosen?.knobs?.some((one) => one.setting.startsWith('charging.'))}
          <label class="grid gap-1 text-sm text-soft"
            >charger whose setpoints it holds
            <select class={FIELD} bind:value={fitting.charger}>
              <option value="">none</option>
              {#each fitting.chargers as id (id)}<option value={id}>{partName(plan, id)}</option>{/each}
            </select>
          </label>
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
          {#if !readonly}<Action onclick={() => fitting.remove(device)} aria-label="Take {device.name} out"
              >Take out</Action
            >{/if}
        </div>
        <p class="mt-1 text-sm text-soft">
          Saved {device.profile.saving}; seen by: {device.profile.showing}.
        </p>
        <table class="mt-2 w-full text-left">
          <thead class="text-sm text-soft">
            <tr>
              <th class="py-1 pr-4 font-normal">of</th>
              <th class="py-1 pr-4 font-normal">setting</th>
              <th class="py-1 pr-4 text-right font-normal">enter</th>
              <th class="py-1 pr-4 text-right font-normal">it does</th>
              <th class="py-1 font-normal max-sm:hidden"></th>
            </tr>
          </thead>
          <tbody>
            {#each of(device) as one (one.path)}
              <tr class="border-t border-rule align-top {one.problem ? 'text-danger' : ''}">
                <td class="py-1 pr-4">{partName(plan, one.at)}</td>
                <td class="py-1 pr-4">{one.label}</td>
                <td class="number py-1 pr-4 text-right font-bold">{one.enter} {unitShown(one)}</td>
                <td class="number py-1 pr-4 text-right"
                  >{#if one.enter !== ''}{told(
                      one,
                      one.effective,
                    )}{/if}{#if one.effective !== one.wanted}<span class="block text-sm text-soft"
                      >asked {told(one, one.wanted)}</span
                    >{/if}</td
                >
                <td class="py-1 text-sm max-sm:hidden"
                  >{one.problem ?? ''}{one.needs ? `needs ${one.needs}` : ''}
                  {#if one.assumed}<span class="font-bold text-caution">assumed until measured</span>{/if}</td
                >
              </tr>
            {:else}
              <tr><td colspan="5" class="py-2 text-soft">Nothing of the program is in it.</td></tr>
            {/each}
          </tbody>
        </table>
      </article>
    {:else}
      {#if !fitting.open}
        <p class="mt-4">
          No device is fitted: every number is taken as it is written. Fit one to see what has to be typed
          into it.
        </p>
      {/if}
    {/each}
  </section>
{/if}
