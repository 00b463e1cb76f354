<script lang="ts">
  import type { Plan } from '../../lib/api/api';
  import type { PlanEditor } from '../planEditor.svelte';
  import { withPlace } from '../../lib/plan/planPath';
  import { inOrder } from './parts';
  import { asked, followed, guessed, labelOf, usualAt, type Schema } from './schema';
  import SchemaField from './SchemaField.svelte';

  /** Some fields of a part: those that are set one below the other, those that need not be and are not in one line to set them from. */
  interface Props {
    editor: PlanEditor;
    plan: Plan;
    schema: Schema;
    fields: string[];
    value: Record<string, unknown>;
    /** Where the part stands in the plan. */
    path: string;
    of: string;
    readonly: boolean;
  }
  let { editor, plan, schema, fields, value, path, of, readonly }: Props = $props();

  const known = $derived(
    fields.flatMap((field) => {
      const own = schema.properties?.[field];
      return own ? [{ field, own, required: schema.required?.includes(field) ?? false }] : [];
    }),
  );
  /** Another part is named in a list to choose from, also while none is. */
  const isOpen = ({ field, own, required }: (typeof known)[number]) =>
    !required && value[field] === undefined && !own.refersTo;
  const unset = $derived(known.filter(isOpen));

  /**
   * What was not set begins with what is usual for this battery and this charger, or else with the least there can be; either way every
   * number of it is a guess until somebody confirms it.
   */
  function begin(field: string, wanted: Schema) {
    const at = `${path}/${field}`;
    const next = usualAt(editor.reading?.usualCharging, at) ?? asked(wanted, plan);
    const begun = inOrder(withPlace(plan, at.split('/'), next));
    editor.take(guessed(begun, next, at), `${labelOf(wanted, field)} of ${of} is set: a guess`);
  }
</script>

<div class="grid grid-cols-[9rem_1fr] items-start gap-x-3 gap-y-1 max-sm:grid-cols-[7rem_1fr]">
  {#each known.filter((one) => !isOpen(one)) as { field, own, required } (field)}
    <SchemaField
      {editor}
      {plan}
      schema={own}
      {field}
      value={value[field]}
      path="{path}/{field}"
      {required}
      {of}
      {readonly}
    />
  {/each}
</div>
{#if unset.length > 0}
  <p class="mt-1 flex flex-wrap items-center gap-x-4 text-soft">
    not set:
    {#each unset as { field, own } (field)}
      {#if readonly}<span>{labelOf(own, field)}</span>
      {:else}
        <button
          class="min-h-9 underline underline-offset-4"
          aria-label="Set {labelOf(own, field)} of {of}"
          title={followed(own).description}
          onclick={() => begin(field, own)}>{labelOf(own, field)}…</button
        >
      {/if}
    {/each}
  </p>
{/if}
