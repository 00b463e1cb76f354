<script lang="ts">
  import type { Plan } from '../../lib/api/api';
  import { FIELD } from '../../lib/shell/fieldLook';
  import { wordsOf } from '../../lib/words';
  import type { PlanEditor } from '../planEditor.svelte';
  import Fields from './Fields.svelte';
  import { beginning, kindOf, type Schema } from './schema';

  /** A part of a part: its kind where there are several, and its fields. */
  interface Props {
    editor: PlanEditor;
    plan: Plan;
    /** All kinds it can be, and the one it is. */
    outer: Schema;
    schema: Schema;
    /** What it is called. */
    label: string;
    value: unknown;
    /** Where it stands in the plan. */
    path: string;
    required: boolean;
    /** What it is part of. */
    of: string;
    readonly: boolean;
    set: (next: unknown) => void;
  }
  let { editor, plan, outer, schema, label, value, path, required, of, readonly, set }: Props = $props();
</script>

<fieldset class="col-span-2 mt-1">
  <legend class="float-left flex w-full items-center justify-between"
    ><span class="font-bold first-letter:uppercase">{label}</span>
    {#if !readonly && !required}
      <button
        class="min-h-9 text-sm underline underline-offset-4"
        aria-label="Take away {label} of {of}"
        onclick={() => set(undefined)}>take away</button
      >
    {/if}
  </legend>
  <div class="clear-both border-l-2 border-rule pl-3">
    {#if outer.oneOf}
      <label class="grid grid-cols-[9rem_1fr] items-center gap-x-3 max-sm:grid-cols-[7rem_1fr]"
        ><span class="text-soft">kind</span>
        <select
          class="{FIELD} w-full"
          disabled={readonly}
          value={(value as { kind: string }).kind}
          onchange={(event) => {
            const kind = event.currentTarget.value;
            const wanted = outer.oneOf?.find((one) => kindOf(one) === kind);
            if (wanted) set(beginning(wanted, plan));
          }}
        >
          {#each outer.oneOf as one (kindOf(one))}<option value={kindOf(one)}
              >{wordsOf(kindOf(one) ?? '')}</option
            >{/each}
        </select></label
      >
    {/if}
    <Fields
      {editor}
      {plan}
      {schema}
      fields={Object.keys(schema.properties ?? {}).filter(
        (key) => key !== 'id' && !(key === 'kind' && outer.oneOf),
      )}
      value={(value ?? {}) as Record<string, unknown>}
      {path}
      {of}
      {readonly}
    />
  </div>
</fieldset>
