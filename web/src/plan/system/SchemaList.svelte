<script lang="ts">
  import type { Plan } from '../../lib/api/api';
  import type { PlanEditor } from '../planEditor.svelte';
  import { beginning, type Schema } from './schema';
  import SchemaField from './SchemaField.svelte';

  /** Parts of a part of which there can be any number: each with its fields, taken away or added. */
  interface Props {
    editor: PlanEditor;
    plan: Plan;
    schema: Schema;
    /** What it is called. */
    label: string;
    value: unknown;
    /** Where it stands in the plan. */
    path: string;
    /** What it is part of. */
    of: string;
    readonly: boolean;
    set: (next: unknown) => void;
  }
  let { editor, plan, schema, label, value, path, of, readonly, set }: Props = $props();

  const singular = $derived(label.replace(/ies$/, 'y').replace(/s$/, ''));
  const entryName = (entry: unknown, i: number) => {
    const named = entry as { name?: string; code?: string };
    return named.name ?? named.code ?? `${singular} ${String(i + 1)}`;
  };
</script>

<fieldset class="col-span-2 mt-1">
  <legend
    class="float-left font-bold first-letter:uppercase {((value ?? []) as unknown[]).length > 0
      ? 'sr-only'
      : ''}">{label}</legend
  >
  <div class="clear-both">
    {#each (value ?? []) as unknown[] as entry, i (i)}
      <SchemaField
        {editor}
        {plan}
        schema={schema.items ?? {}}
        field={entryName(entry, i)}
        value={entry}
        path="{path}/{(entry as { id?: string }).id ?? i}"
        required
        of="{entryName(entry, i)} of {of}"
        {readonly}
      />
      {#if !readonly}
        <button
          class="mr-4 min-h-9 text-sm underline underline-offset-4"
          aria-label="Take {entryName(entry, i)} of {of} away"
          onclick={() => set((value as unknown[]).filter((_, other) => other !== i))}>take this away</button
        >
      {/if}
    {:else}
      <p class="text-soft">none</p>
    {/each}
    {#if !readonly}
      <button
        class="min-h-9 underline underline-offset-4"
        onclick={() => set([...((value ?? []) as unknown[]), beginning(schema.items ?? {}, plan)])}
        >one more {singular}…</button
      >
    {/if}
  </div>
</fieldset>
