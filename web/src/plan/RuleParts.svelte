<script lang="ts">
  import type { Rule } from '../lib/api/api';
  import type { PlanEditor } from './planEditor.svelte';
  import { withPlace } from './planPath';
  import { beginning, guessed, labelOf, schemaOf, type Schema } from './system/schema';

  /** The parts that a rule can have or do without: added with usual numbers, each a guess, and taken away, in place. */
  interface Props {
    editor: PlanEditor;
    rule: Rule;
    path: string;
    of: string;
  }
  let { editor, rule, path, of }: Props = $props();

  const schema = $derived(schemaOf(rule.kind.charAt(0).toUpperCase() + rule.kind.slice(1)));
  const optional = $derived(
    Object.entries(schema.properties ?? {}).filter(
      ([field, own]) => !schema.required?.includes(field) && own.type !== 'array' && !own.refersTo,
    ),
  );
  const has = (field: string) => {
    const value = (rule as unknown as Record<string, unknown>)[field];
    return value !== undefined && value !== false;
  };

  function add(field: string, own: Schema) {
    const plan = editor.plan;
    if (!plan) return;
    const next = own.type === 'boolean' ? true : beginning(own, plan);
    const begun = withPlace(plan, `${path}/${field}`.split('/'), next);
    editor.take(guessed(begun, next, `${path}/${field}`), `${labelOf(own, field)} of ${of} is set: a guess`);
  }

  function takeAway(field: string, own: Schema) {
    const rest = Object.fromEntries(Object.entries(rule).filter(([key]) => key !== field));
    editor.set(path.split('/'), rest, () => `${labelOf(own, field)} of ${of} is no longer set`);
  }
</script>

{#if optional.length > 0}
  <p class="flex flex-wrap items-center gap-x-4 text-sm text-soft">
    {#each optional as [field, own] (field)}
      {#if has(field)}
        <button class="min-h-9 underline underline-offset-4" onclick={() => takeAway(field, own)}
          >without {labelOf(own, field)}<span class="sr-only">, of {of}</span></button
        >
      {:else}
        <button class="min-h-9 underline underline-offset-4" onclick={() => add(field, own)}
          >with {labelOf(own, field)}…<span class="sr-only">, of {of}</span></button
        >
      {/if}
    {/each}
  </p>
{/if}
