<script lang="ts">
  import { onMount } from 'svelte';
  import type { DeviceProfile, FittedDevice, Knob, Plan, Settable, WordKnob } from '../lib/api/api';
  import { api, outcome, type FieldError, type Problem } from '../lib/api/client';
  import { Newest } from '../lib/api/newest';
  import Action from '../lib/shell/Action.svelte';
  import { FIELD } from '../lib/shell/fieldLook';
  import Trouble from '../lib/shell/Trouble.svelte';
  import { wordsOf } from '../lib/words';
  import ChoicesTable from './ChoicesTable.svelte';
  import { keyOf } from './deviceSheet';
  import { knobFor, moved, notedKnob, settableOf, summed } from './knobs';
  import type { PlanEditor } from './planEditor.svelte';
  import Fields from './system/Fields.svelte';
  import Picks from './system/Picks.svelte';
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

  const SCHEMAS = { number: 'NumberKnob', word: 'WordKnob', noted: 'NotedKnob' };
  const schema = schemaOf('DeviceProfile');
  const profile = $derived(device.profile);
  const path = $derived(`program/devices/${device.id}/profile`);
  let settables = $state.raw<Settable[]>([]);
  let problem = $state<Problem>();
  let wanted = $state('');
  /** The entry that is open. */
  let open = $state<number>();
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

  const rules = $derived(
    (settables.find((one) => one.name === 'output.rule')?.words ?? []).map((value) => ({
      value,
      name: wordsOf(value),
    })),
  );
  const free = $derived(settables.filter((one) => !profile.knobs.some((knob) => keyOf(knob) === one.name)));
  const isEntry = $derived(profile.knobs.some((knob) => keyOf(knob) === wanted.trim()));
  const chosen = $derived(isEntry ? undefined : settableOf(settables, wanted.trim()));
  const stepOf = (knob: Knob, i: number) => (knob.kind === 'noted' ? knob.id : String(i));
  /** What is wrong with an entry: in itself, or in what it names. */
  const wrongAt = (knob: Knob, i: number) => [
    ...editor.refused.filter((one) => `${one.pointer}/`.startsWith(`/${path}/knobs/${stepOf(knob, i)}/`)),
    ...unknown.filter((one) => `${one.pointer}/`.startsWith(`/knobs/${i}/`)),
  ];
  const elsewhere = $derived(unknown.filter((one) => !one.pointer.startsWith('/knobs/')));
  const file = $derived(
    `data:application/json;charset=utf-8,${encodeURIComponent(JSON.stringify(profile, null, 2))}`,
  );

  function put(next: Partial<DeviceProfile>, says: string, noted = device.noted) {
    editor.take(
      {
        ...plan,
        program: {
          ...plan.program,
          devices: (plan.program.devices ?? []).map((one) =>
            one.id === device.id ? { ...one, noted, profile: { ...profile, ...next } } : one,
          ),
        },
      },
      says,
    );
  }

  const putKnobs = (knobs: Knob[], says: string) => put({ knobs }, `${says}, ${profile.name}`);

  function change(at: number, next: Knob) {
    putKnobs(
      profile.knobs.map((one, i) => (i === at ? next : one)),
      `${next.label} is another entry`,
    );
  }

  function move(knob: Knob, from: number, by: -1 | 1) {
    if (open === from) open = from + by;
    else if (open === from + by) open = from;
    putKnobs(moved(profile.knobs, from, by), `${knob.label} moved`);
  }

  /** What was written down of an entry goes with it. */
  function remove(knob: Knob) {
    open = undefined;
    put(
      { knobs: profile.knobs.filter((one) => one !== knob) },
      `${knob.label} is no entry any more, ${profile.name}`,
      device.noted.filter((one) => one.id !== keyOf(knob)),
    );
  }

  function add(knob: Knob) {
    open = profile.knobs.length;
    putKnobs([...profile.knobs, knob], `${knob.label} is an entry`);
    wanted = '';
  }
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
  <details class="mt-2 border-t border-rule">
    <summary class="opens flex min-h-11 cursor-pointer items-center gap-3"
      ><span class="font-bold">Rules its outputs carry</span>
      <span class="truncate text-sm text-soft">{profile.rules.map(wordsOf).join(', ') || 'none'}</span
      ></summary
    >
    <Picks
      label="Rules that outputs of {profile.name} carry"
      options={rules}
      value={profile.rules}
      {readonly}
      change={(next) => put({ rules: next as string[] }, `rules of ${profile.name}`)}
    />
  </details>
  <details class="mt-2 border-t border-rule">
    <summary class="opens flex min-h-11 cursor-pointer items-center gap-3"
      ><span class="font-bold">A coded switch, rules that hide others</span>
      <span class="text-sm text-soft"
        >{profile.codes.length} positions, {profile.hidings.length} that hide</span
      ></summary
    >
    <Fields
      {editor}
      {plan}
      {schema}
      fields={['codes', 'hidings']}
      value={profile as unknown as Record<string, unknown>}
      {path}
      of={profile.name}
      {readonly}
    />
  </details>
  {#each elsewhere as one (one.pointer + one.detail)}
    <p class="text-danger" role="alert">{one.pointer.slice(1).replaceAll('/', ' › ')}: {one.detail}</p>
  {/each}
  <h4 class="mt-3 border-t border-rule pt-2 font-bold">Entries of its menu, in order</h4>
  <ol>
    {#each profile.knobs as knob, i (i)}
      {@const wrong = wrongAt(knob, i)}
      <li class="border-t border-rule">
        <div class="flex items-center gap-x-3">
          <button
            class="flex min-h-11 min-w-0 grow basis-0 items-center gap-x-3 text-left max-sm:flex-wrap"
            aria-expanded={open === i}
            onclick={() => (open = open === i ? undefined : i)}
          >
            {#if knob.menu}<span class="number shrink-0 text-soft">{knob.menu}</span>{/if}
            <span class="shrink-0 font-bold">{knob.label}</span>
            <span class="number min-w-0 truncate text-sm text-soft"
              >{knob.kind === 'noted' ? 'noted' : knob.setting}: {summed(knob)}</span
            >
          </button>
          {#if !readonly}
            {#each [-1, 1] as const as by (by)}
              <button
                class="min-h-11 min-w-11"
                aria-label="Move {knob.label} {by < 0 ? 'up' : 'down'}"
                disabled={by < 0 ? i === 0 : i === profile.knobs.length - 1}
                onclick={() => move(knob, i, by)}>{by < 0 ? '↑' : '↓'}</button
              >
            {/each}
            <button
              class="min-h-11 shrink-0 text-sm underline"
              aria-label="Take {knob.label} out of the menu"
              onclick={() => remove(knob)}>take out</button
            >
          {/if}
        </div>
        {#each wrong as one (one.pointer + one.detail)}
          <p class="text-danger" role="alert">{one.detail}</p>
        {/each}
        {#if open === i}
          <div class="max-w-4xl pb-3 pl-4">
            <Fields
              {editor}
              {plan}
              schema={schemaOf(SCHEMAS[knob.kind])}
              fields={Object.keys(schemaOf(SCHEMAS[knob.kind]).properties ?? {}).filter(
                (field) => !['kind', 'id', 'choices'].includes(field),
              )}
              value={knob as unknown as Record<string, unknown>}
              path="{path}/knobs/{stepOf(knob, i)}"
              of={knob.label}
              {readonly}
            />
            {#if knob.kind !== 'number'}
              <ChoicesTable
                of={knob.label}
                choices={knob.choices}
                others={profile.knobs.filter((one) => one.kind === 'word' && one !== knob) as WordKnob[]}
                means={knob.kind === 'word' ? settableOf(settables, knob.setting) : undefined}
                {readonly}
                change={(choices) => change(i, { ...knob, choices })}
              />
            {/if}
          </div>
        {/if}
      </li>
    {:else}
      <li class="py-2 text-soft">None yet: add what the device lets be set, in the order of its menu.</li>
    {/each}
  </ol>
  {#if !readonly}
    <div class="mt-2 flex flex-wrap items-center gap-3 border-t border-rule pt-3">
      <input
        class="{FIELD} w-96 max-w-full"
        list="settables"
        aria-label="What the entry sets"
        placeholder="what it sets, such as charging.floatVolts"
        bind:value={wanted}
      />
      <Action disabled={!chosen} onclick={() => chosen && add(knobFor(chosen))}>Add the entry</Action>
      <Action onclick={() => add(notedKnob(profile))}>Add one that is only noted</Action>
      {#if wanted.trim() !== '' && !chosen}
        <p class="text-soft" role="status">
          {isEntry ? 'It is an entry already.' : 'No plan has that; choose from the list.'}
        </p>
      {/if}
    </div>
  {/if}
  <datalist id="settables">
    {#each free as one (one.name)}<option value={one.name}
        >{wordsOf(one.name.replaceAll('.', ' '))}{one.unit ? ` (${one.unit})` : ''}</option
      >{/each}
  </datalist>
</section>
