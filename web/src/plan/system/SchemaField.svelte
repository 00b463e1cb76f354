<script lang="ts">
  import { Input } from 'flowbite-svelte';
  import type { Plan } from '../../lib/api/api';
  import NumberChip from '../../lib/sentence/NumberChip.svelte';
  import { FIELD } from '../../lib/shell/fieldLook';
  import { choiceOf, wordsOf } from '../../lib/words';
  import type { PlanEditor } from '../planEditor.svelte';
  import { atPlace, withPlace } from '../../lib/plan/planPath';
  import Fields from './Fields.svelte';
  import OriginOf from './OriginOf.svelte';
  import {
    beginning,
    chosen,
    followed,
    kindOf,
    labelOf,
    picksOf,
    references,
    shownAs,
    type Schema,
  } from './schema';
  import { inOrder } from './parts';
  import NumberMap from './NumberMap.svelte';
  import Picks from './Picks.svelte';
  import Self from './SchemaField.svelte';

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
  const picks = $derived(picksOf(schema));
  const choices = $derived(schema.enum ? [] : (named ?? []));
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
  const errorId = $props.id();

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

  const singular = $derived(label.replace(/s$/, ''));
  const entryName = (entry: unknown, i: number) => {
    const named = entry as { name?: string; code?: string };
    return named.name ?? named.code ?? `${singular} ${String(i + 1)}`;
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
        fields={Object.keys(schema.properties).filter(
          (key) => key !== 'id' && !(key === 'kind' && outer.oneOf),
        )}
        value={(value ?? {}) as Record<string, unknown>}
        {path}
        {of}
        {readonly}
      />
    </div>
  </fieldset>
{:else if schema.type === 'array' && followed(schema.items ?? {}).properties}
  <fieldset class="col-span-2 mt-1">
    <legend
      class="float-left font-bold first-letter:uppercase {((value ?? []) as unknown[]).length > 0
        ? 'sr-only'
        : ''}">{label}</legend
    >
    <div class="clear-both">
      {#each (value ?? []) as unknown[] as entry, i (i)}
        <Self
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
    {:else if schema.enum || (named && schema.type === 'string')}
      <select
        class="{FIELD} w-full"
        disabled={readonly}
        aria-label="{label} of {of}"
        value={value ?? ''}
        onchange={(event) => {
          const text = event.currentTarget.value;
          const number = typeof schema.enum?.[0] === 'number';
          set(text === '' ? undefined : number ? Number(text) : text);
        }}
      >
        {#if !required}<option value="">not set</option>{/if}
        {#each schema.enum ?? [] as one (one)}
          <option value={one}>{choiceOf(one)}</option>
        {/each}
        {#each choices as one (one.id)}<option value={one.id}>{one.name}</option>{/each}
      </select>
    {:else if schema.type === 'boolean'}
      <label class="flex min-h-9 items-center gap-2"
        ><input
          type="checkbox"
          class="size-5 accent-ink"
          disabled={readonly}
          checked={value === true}
          aria-label="{label} of {of}"
          onchange={(event) => set(event.currentTarget.checked)}
        />{value === true ? 'yes' : 'no'}</label
      >
    {:else if schema.type === 'array' && named}
      <div class="flex flex-wrap gap-x-4">
        {#each named as one (one.id)}
          <label class="flex min-h-9 items-center gap-2"
            ><input
              type="checkbox"
              class="size-5 accent-ink"
              disabled={readonly}
              checked={((value ?? []) as string[]).includes(one.id)}
              onchange={(event) => {
                const others = ((value ?? []) as string[]).filter((id) => id !== one.id);
                set(event.currentTarget.checked ? [...others, one.id] : others);
              }}
            />{one.name}</label
          >
        {:else}<span class="text-soft">none to choose</span>{/each}
      </div>
    {:else if schema.additionalProperties}
      <NumberMap
        label="{label} of {of}"
        value={(value ?? {}) as Record<string, number>}
        names="settables"
        {readonly}
        change={set}
      />
    {:else if picks}
      <Picks
        label="{label} of {of}"
        options={picks}
        value={(value ?? []) as (string | number)[]}
        {readonly}
        change={set}
      />
    {:else}
      {@const list = schema.type === 'array'}
      <Input
        class={FIELD}
        readonly={readonly || field === 'profile'}
        aria-label="{label} of {of}"
        aria-invalid={error ? 'true' : undefined}
        aria-describedby={error ? errorId : undefined}
        list={schema.offers}
        value={list ? ((value ?? []) as unknown[]).join(', ') : String(value ?? '')}
        onchange={(event: Event) => {
          const text = (event.currentTarget as HTMLInputElement).value;
          const parts = text.split(/[,\s]+/).filter((one) => one !== '');
          const numbers = schema.items?.type === 'number' || schema.items?.type === 'integer';
          if (list) set(parts.map((one) => (numbers ? Number(one) : one)));
          else set(text === '' && !required ? undefined : text);
        }}
      />
      {#if error}<span class="block text-sm text-danger" id={errorId} role="alert">{error}</span>{/if}
    {/if}
    {#if error && (schema.enum || schema.type === 'boolean')}<span
        class="block text-sm text-danger"
        role="alert">{error}</span
      >{/if}
  </div>
{/if}
