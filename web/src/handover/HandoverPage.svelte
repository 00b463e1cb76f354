<script lang="ts">
  import { shownNumber } from '../lib/along/local';
  import { api, outcome, type Problem } from '../lib/api/client';
  import type { DeviceHeld } from '../lib/api/api';
  import Frame from '../lib/shell/Frame.svelte';
  import { partName } from '../lib/shell/parts';
  import { session } from '../lib/shell/session.svelte';
  import Tabs from '../lib/shell/Tabs.svelte';
  import Trouble from '../lib/shell/Trouble.svelte';
  import type { Line } from '../lib/tape/plot';
  import { editorOf } from '../plan/editors';
  import DeviceEntries from './DeviceEntries.svelte';
  import { Held, verdict } from './held.svelte';
  import OnWire from './OnWire.svelte';
  import ProfileNotesPart from './ProfileNotesPart.svelte';
  import { ProfileNotes } from './profileNotes.svelte';
  import QuestionsPart from './QuestionsPart.svelte';
  import StepsPart from './StepsPart.svelte';
  import TestPart from './TestPart.svelte';
  import { Wires } from './wires.svelte';

  let { params }: { params: { site: string; part?: string } } = $props();

  const TABS = [
    { key: 'devices', name: 'In the devices' },
    { key: 'steps', name: 'Step by step' },
    { key: 'test', name: 'Tested on site' },
    { key: 'questions', name: 'Asked of makers' },
  ];
  const part = $derived(TABS.find((one) => one.key === params.part)?.key ?? 'devices');

  const editor = $derived(editorOf(params.site));
  const plan = $derived(editor.plan);
  const held = $derived(new Held(params.site));
  const wires = $derived(new Wires(params.site));
  const notes = $derived(new ProfileNotes(params.site));
  const devices = $derived(held.now?.devices);
  const readonly = $derived(!session.mayChangeAt(params.site));
  const zone = $derived(plan?.site.location.timeZone ?? 'UTC');
  /** The voltages at which the outputs of a device act, as the plan has them. */
  function levelsOf(device: string): Line[] {
    const outputs = plan?.program.devices.find((one) => one.id === device)?.outputs ?? [];
    return (editor.reading?.gauge.pegs ?? [])
      .filter((peg) => peg.unit === 'V' && outputs.includes(peg.at))
      .map((peg) => ({
        value: peg.value,
        label: `${name(peg.at)}, ${peg.term}`,
        percent: false,
        output: peg.at,
      }));
  }
  /** What a device holds goes into the plan, unsaved: there it is looked at, saved or undone. */
  async function takeOver(device: DeviceHeld): Promise<Problem | undefined> {
    if (!plan) return undefined;
    const answer = await outcome(
      api.POST('/api/sites/{siteId}/devices/{device}/taking-over', {
        params: { path: { siteId: params.site, device: device.id } },
        body: plan,
      }),
    );
    if (answer.data) {
      editor.take(answer.data, `as ${device.name} holds it`);
      location.hash = `#/site/${params.site}/plan/devices`;
    }
    return answer.problem;
  }

  const name = (id: string) => (plan ? partName(plan, id) : id);

  $effect(() => {
    void held.load();
    void wires.load();
    void notes.load();
  });
</script>

<Frame title={plan?.site.name ?? 'Handover'} site={params.site} place="handover">
  {#snippet header()}
    <div class="ml-auto flex flex-wrap items-center gap-x-5">
      {#if held.now}<p class="text-soft">
          revision <span class="number">{shownNumber(held.now.revision)}</span>{editor.dirty
            ? ', without what is not saved'
            : ''}
        </p>{/if}
      <a class="flex min-h-11 items-center underline" href="#/site/{params.site}/handover/card"
        >Card on the cabinet</a
      >
    </div>
  {/snippet}
  <Tabs tabs={TABS} {part} address="/site/{params.site}/handover" label="Handover" />
  {#if held.problem}<Trouble problem={held.problem} retry={() => held.load()} />{/if}
  {#if wires.problem && !held.problem}<Trouble problem={wires.problem} retry={() => wires.load()} />{/if}
  {#if notes.problem && !held.problem}<Trouble problem={notes.problem} retry={() => notes.load()} />{/if}
  {#if part === 'test'}
    <TestPart site={params.site} revision={held.now?.revision} {readonly} {zone} />
  {:else if part === 'steps'}
    <StepsPart site={params.site} {readonly} {zone} />
  {:else if part === 'questions'}
    <QuestionsPart {editor} {readonly} />
  {:else if !devices}
    {#if !held.problem}<p class="p-6 text-soft" role="status">Reading the devices</p>{/if}
  {:else if devices.length === 0}
    <p class="p-6 text-lg">
      No device is fitted, so there is nothing to hand over.
      <a class="underline" href="#/site/{params.site}/plan/devices">Fit one in the plan</a>.
    </p>
  {:else}
    <p class="px-4 py-6 text-3xl leading-9 font-bold md:px-6" role="status">{verdict(devices)}</p>
    {#each devices as device (device.id)}
      {@const wired = wires.now.find((one) => one.device === device.id)}
      <DeviceEntries
        {held}
        {device}
        {name}
        {zone}
        {readonly}
        wired={wired?.connection !== undefined}
        takeOver={() => takeOver(device)}
      >
        {#if wired && held.now}
          <OnWire
            {wires}
            {wired}
            device={device.name}
            revision={held.now.revision}
            {name}
            {readonly}
            {zone}
            levels={levelsOf(device.id)}
            menu={device.entries.map((entry) => entry.place)}
            changed={() => held.load()}
          />
        {/if}
        <ProfileNotesPart {notes} device={device.id} profile={device.profile} {readonly} {zone} />
      </DeviceEntries>
    {/each}
    <p class="border-t border-rule px-4 py-4 text-sm text-soft md:px-6">
      A reading says what a display showed; it is no proof that a device acts on it. Work on batteries, arrays
      and AC circuits follows local code and licensed practice.
    </p>
  {/if}
</Frame>
