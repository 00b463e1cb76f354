<script lang="ts">
  import type { PlanEditor } from './planEditor.svelte';
  import { withPlace } from '../lib/plan/planPath';
  import { asked, guessed, labelOf, schemaOf, type Schema } from './system/schema';

  /** What a rule or a contact can have or do without: added with usual numbers, each a guess, and taken away, in place. */
  interface Props {
    editor: PlanEditor;
    /** What has it, and its kind in the published schema. */
    value: object;
    schema: string;
    path: string;
    of: string;
  }
  let { editor, value, schema: kind, path, of }: Props = $props();

  const schema = $derived(schemaOf(kind));
  const optional = $derived(
    Object.entries(schema.properties ?? {}).filter(
      ([field, own]) => !schema.required?.includes(field) && own.type !== 'array' && !own.refersTo,
    ),
  );
  const has = (field: string) => {
    const own = (value as Record<string, unknown>)[field];
    return own !== undefined && own !== false;
  };

  function add(field: string, own: Schema) {
    const plan = editor.plan;
    if (!plan) return;
    const next = asked(own, plan);
    const begun = withPlace(plan, `${path}/${field}`.split('/'), next);
    editor.take(guessed(begun, next, `${path}/${field}`), `${labelOf(own, field)} of ${of} is set: a guess`);
  }

  function takeAway(field: string, own: Schema) {
    const rest = Object.fromEntries(Object.entries(value).filter(([key]) => key !== field));
    editor.set(path.split('/'), rest, () => `${labelOf(own, field)} of ${of} is no longer set`);
  }
</script>

{#snippet part(field: string, own: Schema)}
  {@const label = labelOf(own, field)}
  {#if has(field)}
    <button
      class="min-h-9 underline underline-offset-4"
      aria-label="Take {label} away from {of}"
      onclick={() => takeAway(field, own)}>{label}</button
    >
  {:else}
    <button
      class="min-h-9 underline underline-offset-4"
      aria-label="Add {label} to {of}"
      onclick={() => add(field, own)}>{label}…</button
    >
  {/if}
{/snippet}

{#each [{ says: 'can also have:', set: false }, { says: 'take away:', set: true }] as list (list.set)}
  {@const parts = optional.filter(([field]) => has(field) === list.set)}
  {#if parts.length > 0}
    <p class="flex flex-wrap items-center gap-x-4 text-sm text-soft">
      {list.says}
      {#each parts as [field, own] (field)}{@render part(field, own)}{/each}
    </p>
  {/if}
{/each}
