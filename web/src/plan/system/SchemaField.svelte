<script lang="ts">
  import type { Plan } from '../../lib/api/api';
  import NumberChip from '../../lib/sentence/NumberChip.svelte';
  import type { PlanEditor } from '../planEditor.svelte';
  import { atPlace, withPlace } from '../../lib/plan/planPath';
  import OriginOf from './OriginOf.svelte';
  import { chosen, followed, labelOf, references, shownAs, type Schema } from './schema';
  import SchemaChoice from './SchemaChoice.svelte';
  import SchemaGroup from './SchemaGroup.svelte';
  import SchemaList from './SchemaList.svelte';
  import { inOrder } from './parts';

  /** One field of a part that is set, drawn from the published schema; a part of a part is drawn the same way inside. */
  interface Props {
    editor: PlanEditor;
    plan: Plan;
    schema: Schema;
    field: string;
    value: unknown;
    /** Where it stands in the plan. */
    path: string;
    required: boolean;
    of: string;
    readonly: boolean;
  }
  let { editor, plan, schema: raw, field, value, path, required, of, readonly }: Props = $props();

  const place = $derived(path.split('/'));
  const outer = $derived(followed(raw));
  const schema = $derived(outer.oneOf ? chosen(outer, value) : outer);
  const label = $derived(labelOf(raw, field));
  const shown = $derived(shownAs(raw));
  const named = $derived(references(raw, plan));
  const isNumber = $derived(schema.type === 'number' || schema.type === 'integer');
  const error = $derived(editor.refused.find((one) => one.pointer === `/${path}`)?.detail);
  const bound = (one: number | undefined, none: number) => rounded((one ?? none) * shown.factor);
  const step = $derived(
    schema.type === 'integer'
      ? 1
      : ((size) => 10 ** Math.floor(Math.log10(Math.max(Math.abs(size), 0.01)) - 1))(
          Number(value) * shown.factor || 1,
        ),
  );

  /** Without the dust that a factor leaves. */
  function rounded(number: number): number {
    return Number(number.toPrecision(12));
  }

  const told = (one: unknown) => {
    if (one === undefined) return 'none';
    if (typeof one === 'object') return 'told';
    const number = typeof one === 'number' ? rounded(one * shown.factor) : one;
    return `${String(number)}${shown.unit ? ` ${shown.unit}` : ''}`;
  };

  function set(next: unknown) {
    const say = (before: unknown, after: unknown) => `${label} of ${of} ${told(before)} → ${told(after)}`;
    if (next === undefined) {
      const parent = place.slice(0, -1);
      const owner = atPlace(plan, parent) as object;
      const without = Object.fromEntries(Object.entries(owner).filter(([key]) => key !== field));
      editor.take(inOrder(withPlace(plan, parent, without)), `${label} of ${of} is no longer set`);
    } else {
      editor.set(place, next, say);
    }
  }
</script>

{#if schema.properties}
  <SchemaGroup {editor} {plan} {outer} {schema} {label} {value} {path} {required} {of} {readonly} {set} />
{:else if schema.type === 'array' && followed(schema.items ?? {}).properties}
  <SchemaList {editor} {plan} {schema} {label} {value} {path} {of} {readonly} {set} />
{:else}
  <span class="pt-1.5 text-soft" title={schema.description}>{label}</span>
  <div class="min-w-0">
    {#if isNumber && schema.enum === undefined}
      <span class="flex flex-wrap items-center gap-x-2">
        <NumberChip
          chip={{
            kind: 'number',
            field: path,
            label: `${label} of ${of}`,
            value: rounded(Number(value) * shown.factor),
            unit: shown.unit,
            step,
            bigStep: step * 5,
            least: bound(schema.minimum ?? schema.exclusiveMinimum, -1e9),
            most: bound(schema.maximum, 1e9),
          }}
          value={rounded(Number(value) * shown.factor)}
          {readonly}
          {error}
          change={(next: number) => set(rounded(next / shown.factor))}
        />
        <OriginOf {editor} {path} label="{label} of {of}" {readonly} />
        {#if !readonly && !required}<button
            class="min-h-9 text-sm underline underline-offset-4"
            aria-label="Unset {label} of {of}"
            onclick={() => set(undefined)}>unset</button
          >{/if}
      </span>
    {:else}
      <SchemaChoice
        {schema}
        {named}
        label="{label} of {of}"
        {value}
        {required}
        {readonly}
        fixed={field === 'profile'}
        {error}
        {set}
      />
    {/if}
    {#if error && (schema.enum || schema.type === 'boolean')}<span
        class="block text-sm text-danger"
        role="alert">{error}</span
      >{/if}
  </div>
{/if}
