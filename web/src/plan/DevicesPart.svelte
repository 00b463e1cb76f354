<script lang="ts">
  import type { DeviceProfile, FittedDevice, Setting } from '../lib/api/api';
  import { api, outcome, type Problem } from '../lib/api/client';
  import { believable, duration } from '../lib/sentence/quantity';
  import Action from '../lib/shell/Action.svelte';
  import { FIELD } from '../lib/shell/fieldLook';
  import { partName } from '../lib/shell/parts';
  import Trouble from '../lib/shell/Trouble.svelte';
  import type { PlanEditor } from './planEditor.svelte';

  /** The program as each device wants it typed in, with what the device then really does. */
  let { editor, readonly }: { editor: PlanEditor; readonly: boolean } = $props();

  let kinds = $state.raw<DeviceProfile[]>();
  let problem = $state<Problem>();
  let fitting = $state(false);
  let kind = $state('');
  let name = $state('');
  let outputs = $state<string[]>([]);
  let charger = $state('');
  const plan = $derived(editor.plan);
  const devices = $derived(plan?.program.devices ?? []);
  const settings = $derived(editor.reading?.settings ?? []);
  const taken = $derived(devices.flatMap((device) => device.outputs ?? []));
  const chosen = $derived(kinds?.find((one) => one.id === kind));
  const free = $derived((plan?.program.outputs ?? []).filter((one) => !taken.includes(one.id)));
  const chargers = $derived(
    (plan?.program.charging ?? [])
      .map((one) => one.controller)
      .filter((id) => !devices.some((one) => one.charger === id)),
  );

  async function load() {
    const answer = await outcome(api.GET('/api/device-profiles'));
    problem = answer.problem;
    kinds = answer.data;
    kind ||= kinds?.[0]?.id ?? '';
  }
  void load();

  async function own(event: Event & { currentTarget: HTMLInputElement }) {
    const file = event.currentTarget.files?.[0];
    // Emptied, so that the same file can be chosen again once it is mended.
    const input = event.currentTarget;
    if (!file) return;
    try {
      const read = JSON.parse(await file.text()) as DeviceProfile;
      kinds = [...(kinds ?? []).filter((one) => one.id !== read.id), read];
      kind = read.id;
      problem = undefined;
    } catch (broken) {
      problem = {
        type: 'about:blank',
        status: 0,
        detail: `${file.name} is not JSON: ${(broken as Error).message}`,
      };
    }
    input.value = '';
  }

  function fit(event: SubmitEvent) {
    event.preventDefault();
    if (!chosen) return;
    let number = devices.length + 1;
    while (devices.some((one) => one.id === `device-${number}`)) number++;
    const device: FittedDevice = {
      id: `device-${number}`,
      name: name.trim() || chosen.name,
      profile: chosen,
      outputs,
      ...(charger === '' ? {} : { charger }),
    };
    const unsent = [...(plan?.program.unsent ?? []), device.id];
    editor.set(
      ['program'],
      { ...plan?.program, devices: [...devices, device], unsent },
      () => `${device.name} carries part of the program`,
    );
    fitting = false;
    name = '';
    outputs = [];
    charger = '';
  }

  function remove(device: FittedDevice) {
    if (!plan) return;
    const without = (ids?: string[]) => (ids ?? []).filter((id) => id !== device.id);
    const { unsent, drifted } = plan.program;
    editor.set(
      ['program'],
      {
        ...plan.program,
        devices: devices.filter((one) => one.id !== device.id),
        unsent: without(unsent),
        drifted: without(drifted),
      },
      () => `${device.name} carries nothing any more`,
    );
  }

  const STATES = [
    ['sent', 'holds these settings'],
    ['unsent', 'not sent yet'],
    ['drifted', 'read back: holds others'],
  ] as const;

  function stateOf(device: FittedDevice): string {
    if (plan?.program.drifted?.includes(device.id)) return 'drifted';
    return plan?.program.unsent?.includes(device.id) ? 'unsent' : 'sent';
  }

  function setStateOf(device: FittedDevice, state: string) {
    if (!plan) return;
    const without = (ids?: string[]) => (ids ?? []).filter((id) => id !== device.id);
    const unsent = [...without(plan.program.unsent), ...(state === 'unsent' ? [device.id] : [])];
    const drifted = [...without(plan.program.drifted), ...(state === 'drifted' ? [device.id] : [])];
    const word = STATES.find(([key]) => key === state)?.[1] ?? state;
    editor.set(['program'], { ...plan.program, unsent, drifted }, () => `${device.name}: ${word}`);
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
      {#if !readonly}<Action onclick={() => (fitting = !fitting)} aria-expanded={fitting}
          >Fit a device…</Action
        >{/if}
    </div>
    {#if problem}<Trouble {problem} retry={load} />{/if}
    {#if fitting}
      <form
        class="mt-3 grid max-w-2xl gap-3 border-l-4 border-ink bg-raised p-3"
        onsubmit={fit}
        aria-label="Fit a device"
      >
        <div class="flex flex-wrap items-end gap-3">
          <label class="grid gap-1 text-sm text-soft"
            >kind of device
            <select class={FIELD} bind:value={kind}>
              {#each kinds ?? [] as one (one.id)}<option value={one.id}>{one.name}</option>{/each}
            </select>
          </label>
          <label class="flex min-h-11 cursor-pointer items-center underline has-focus-visible:outline-3"
            >or one of your own (JSON)<input
              class="sr-only"
              type="file"
              accept=".json,application/json"
              onchange={own}
            /></label
          >
          {#if chosen}
            <a class="flex min-h-11 items-center underline" href={blob(chosen)} download="{chosen.id}.json"
              >Take this one as a start</a
            >
          {/if}
        </div>
        <label class="grid gap-1 text-sm text-soft"
          >what the crew calls it
          <input class={FIELD} bind:value={name} maxlength="120" placeholder={chosen?.name} />
        </label>
        {#if chosen && chosen.outputs > 0}
          <fieldset>
            <legend class="text-sm text-soft">outputs it switches, {chosen.outputs} at most</legend>
            {#each free as one (one.id)}
              <label class="flex min-h-9 items-center gap-2"
                ><input
                  type="checkbox"
                  class="size-5 accent-ink"
                  value={one.id}
                  bind:group={outputs}
                  disabled={!outputs.includes(one.id) && outputs.length >= chosen.outputs}
                />{one.name}</label
              >
            {:else}<p>Every output is in a device already.</p>{/each}
          </fieldset>
        {/if}
        {#if chosen?.knobs?.some((one) => one.setting.startsWith('charging.'))}
          <label class="grid gap-1 text-sm text-soft"
            >charger whose setpoints it holds
            <select class={FIELD} bind:value={charger}>
              <option value="">none</option>
              {#each chargers as id (id)}<option value={id}>{partName(plan, id)}</option>{/each}
            </select>
          </label>
        {/if}
        <div class="flex gap-2">
          <Action main type="submit" disabled={!chosen}>Fit it</Action>
          <Action onclick={() => (fitting = false)}>Leave it</Action>
        </div>
      </form>
    {/if}
    {#each devices as device (device.id)}
      <article class="mt-6" aria-labelledby="device-{device.id}">
        <div class="flex flex-wrap items-center gap-x-4 border-b border-rule pb-1">
          <h3 id="device-{device.id}">{device.name}</h3>
          <p class="grow text-soft">{device.profile.name === device.name ? '' : device.profile.name}</p>
          <select
            class={FIELD}
            disabled={readonly}
            aria-label="State of {device.name}"
            value={stateOf(device)}
            onchange={(event) => setStateOf(device, event.currentTarget.value)}
          >
            {#each STATES as [key, word] (key)}<option value={key}>{word}</option>{/each}
          </select>
          {#if !readonly}<Action onclick={() => remove(device)} aria-label="Take {device.name} out"
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
      {#if !fitting}
        <p class="mt-4">
          No device is fitted: every number is taken as it is written. Fit one to see what has to be typed
          into it.
        </p>
      {/if}
    {/each}
  </section>
{/if}
