<script lang="ts">
  import type { DeviceProfile, Knob, Plan, Settable, WordKnob } from '../lib/api/api';
  import type { FieldError } from '../lib/api/client';
  import ChoicesTable from './ChoicesTable.svelte';
  import { settableOf, stepOf, summed } from './knobs';
  import type { PlanEditor } from './planEditor.svelte';
  import Fields from './system/Fields.svelte';
  import { schemaOf } from './system/schema';
  import Icon from '../lib/shell/Icon.svelte';

  /** An entry of a device's menu: what it sets, in one line; opened, all of it. */
  interface Props {
    editor: PlanEditor;
    plan: Plan;
    profile: DeviceProfile;
    knob: Knob;
    /** Its number among the entries, from 0. */
    at: number;
    /** Where the profile stands in the plan. */
    path: string;
    settables: Settable[];
    /** What is wrong with it. */
    wrong: FieldError[];
    readonly: boolean;
    open: boolean;
    toggle: () => void;
    move: (by: -1 | 1) => void;
    remove: () => void;
    change: (next: Knob) => void;
  }
  let {
    editor,
    plan,
    profile,
    knob,
    at,
    path,
    settables,
    wrong,
    readonly,
    open,
    toggle,
    move,
    remove,
    change,
  }: Props = $props();

  const SCHEMAS = { number: 'NumberKnob', word: 'WordKnob', noted: 'NotedKnob' };
  const schema = $derived(schemaOf(SCHEMAS[knob.kind]));
</script>

<li class="border-t border-rule">
  <div class="flex items-center gap-x-3">
    <button
      class="flex min-h-11 min-w-0 grow basis-0 items-center gap-x-3 text-left max-sm:flex-wrap"
      aria-expanded={open}
      onclick={toggle}
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
          disabled={by < 0 ? at === 0 : at === profile.knobs.length - 1}
          onclick={() => move(by)}><Icon sign={by < 0 ? 'up' : 'down'} /></button
        >
      {/each}
      <button
        class="min-h-11 shrink-0 text-sm underline"
        aria-label="Take {knob.label} out of the menu"
        onclick={() => remove()}>take out</button
      >
    {/if}
  </div>
  {#each wrong as one (one.pointer + one.detail)}
    <p class="text-danger" role="alert">{one.detail}</p>
  {/each}
  {#if open}
    <div class="max-w-4xl pb-3 pl-4">
      <Fields
        {editor}
        {plan}
        {schema}
        fields={Object.keys(schema.properties ?? {}).filter(
          (field) => !['kind', 'id', 'choices'].includes(field),
        )}
        value={knob as unknown as Record<string, unknown>}
        path="{path}/knobs/{stepOf(knob, at)}"
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
          change={(choices) => change({ ...knob, choices })}
        />
      {/if}
    </div>
  {/if}
</li>
