<script lang="ts">
  import { onMount } from 'svelte';
  import type { FittedDevice, Knob, Plan, Settable } from '../lib/api/api';
  import { api, outcome, type FieldError, type Problem } from '../lib/api/client';
  import { Newest } from '../lib/api/newest';
  import Action from '../lib/shell/Action.svelte';
  import Trouble from '../lib/shell/Trouble.svelte';
  import AddEntry from './AddEntry.svelte';
  import { stepOf } from './knobs';
  import type { PlanEditor } from './planEditor.svelte';
  import { ProfileEdit } from './profileEdit.svelte';
  import ProfileEntry from './ProfileEntry.svelte';
  import ProfileRules from './ProfileRules.svelte';
  import Fields from './system/Fields.svelte';
  import { schemaOf } from './system/schema';

  /**
   * The kind of a device, made or changed: what it is, and the entries of its menu in order. What is changed acts on the sheet below at
   * once, and can be taken back like any change of the plan.
   */
  interface Props {
    editor: PlanEditor;
    plan: Plan;
    device: FittedDevice;
    readonly: boolean;
    done: () => void;
  }
  let { editor, plan, device, readonly, done }: Props = $props();

  const schema = schemaOf('DeviceProfile');
  const profile = $derived(device.profile);
  const path = $derived(`program/devices/${device.id}/profile`);
  let settables = $state.raw<Settable[]>([]);
  let problem = $state<Problem>();
  const edit = new ProfileEdit(() => ({ editor, plan, device }));
  const newest = new Newest();
  let unknown = $state.raw<FieldError[]>([]);

  onMount(async () => {
    const answer = await outcome(api.GET('/api/settables'));
    problem = answer.problem;
    settables = answer.data ?? [];
  });

  // Whether every entry names what a plan has is not the plan's to say: the kind would do nothing there.
  $effect(() => {
    const body = profile;
    void newest
      .ask((signal) => outcome(api.POST('/api/device-profiles/check', { body, signal })))
      .then((answer) => {
        if (answer) unknown = answer.problem?.errors ?? [];
      });
  });

  /** What is wrong with an entry: in itself, or in what it names. */
  const wrongAt = (knob: Knob, i: number) => [
    ...editor.refused.filter((one) => `${one.pointer}/`.startsWith(`/${path}/knobs/${stepOf(knob, i)}/`)),
    ...unknown.filter((one) => `${one.pointer}/`.startsWith(`/knobs/${i}/`)),
  ];
  const elsewhere = $derived(unknown.filter((one) => !one.pointer.startsWith('/knobs/')));
  const file = $derived(
    `data:application/json;charset=utf-8,${encodeURIComponent(JSON.stringify(profile, null, 2))}`,
  );
</script>

<section class="my-3 border-l-4 border-ink bg-raised p-3" aria-label="Kind of {device.name}">
  <div class="flex flex-wrap items-center gap-x-5">
    <p class="grow text-soft">
      What stands here acts on the sheet below at once. Other sites keep the kind that they carry.
    </p>
    <a class="flex min-h-11 items-center underline" download="{profile.id}.json" href={file}
      >Export it (JSON)</a
    >
    <Action main onclick={done}>Done</Action>
  </div>
  {#if problem}<Trouble {problem} />{/if}
  <div class="max-w-2xl">
    <Fields
      {editor}
      {plan}
      {schema}
      fields={['name', 'outputs', 'saving', 'showing', 'dropping']}
      value={profile as unknown as Record<string, unknown>}
      {path}
      of={profile.name}
      {readonly}
    />
  </div>
  <ProfileRules
    {editor}
    {plan}
    {profile}
    {path}
    {settables}
    {readonly}
    put={(rules) => edit.put({ rules }, `rules of ${profile.name}`)}
  />
  {#each elsewhere as one (one.pointer + one.detail)}
    <p class="text-danger" role="alert">{one.pointer.slice(1).replaceAll('/', ' › ')}: {one.detail}</p>
  {/each}
  <h4 class="mt-3 border-t border-rule pt-2 font-bold">Entries of its menu, in order</h4>
  <ol>
    {#each profile.knobs as knob, i (i)}
      {@const wrong = wrongAt(knob, i)}
      <ProfileEntry
        {editor}
        {plan}
        {profile}
        {knob}
        at={i}
        {path}
        {settables}
        {wrong}
        {readonly}
        open={edit.open === i}
        toggle={() => edit.toggle(i)}
        move={(by) => edit.move(knob, i, by)}
        remove={() => edit.remove(knob)}
        change={(next) => edit.change(i, next)}
      />
    {:else}
      <li class="py-2 text-soft">None yet: add what the device lets be set, in the order of its menu.</li>
    {/each}
  </ol>
  {#if !readonly}<AddEntry {profile} {settables} add={(knob) => edit.add(knob)} />{/if}
</section>
