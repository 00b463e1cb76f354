<script lang="ts">
  import type { DeviceProfile, Plan, Settable } from '../lib/api/api';
  import { wordsOf } from '../lib/words';
  import type { PlanEditor } from './planEditor.svelte';
  import Fields from './system/Fields.svelte';
  import Picks from './system/Picks.svelte';
  import { schemaOf } from './system/schema';

  /** Which rules a kind of device carries, how a coded switch stands for them, and which hide others. */
  interface Props {
    editor: PlanEditor;
    plan: Plan;
    profile: DeviceProfile;
    /** Where the profile stands in the plan. */
    path: string;
    settables: Settable[];
    readonly: boolean;
    put: (rules: string[]) => void;
  }
  let { editor, plan, profile, path, settables, readonly, put }: Props = $props();

  const schema = schemaOf('DeviceProfile');
  const rules = $derived(
    (settables.find((one) => one.name === 'output.rule')?.words ?? []).map((value) => ({
      value,
      name: wordsOf(value),
    })),
  );
</script>

<details class="mt-2 border-t border-rule">
  <summary class="opens flex min-h-11 cursor-pointer items-center gap-3"
    ><span class="font-bold">Rules its outputs carry</span>
    <span class="truncate text-sm text-soft">{profile.rules.map(wordsOf).join(', ') || 'none'}</span></summary
  >
  <Picks
    label="Rules that outputs of {profile.name} carry"
    options={rules}
    value={profile.rules}
    {readonly}
    change={(next) => put(next as string[])}
  />
</details>
<details class="mt-2 border-t border-rule">
  <summary class="opens flex min-h-11 cursor-pointer items-center gap-3"
    ><span class="font-bold">A coded switch, rules that hide others</span>
    <span class="text-sm text-soft">{profile.codes.length} positions, {profile.hidings.length} that hide</span
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
