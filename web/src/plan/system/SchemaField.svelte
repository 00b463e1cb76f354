<script lang="ts">
  import { Input } from 'flowbite-svelte';
  import type { Plan } from '../../lib/api/api';
  import NumberChip from '../../lib/sentence/NumberChip.svelte';
  import { FIELD } from '../../lib/shell/fieldLook';
  import { wordsOf } from '../../lib/words';
  import type { PlanEditor } from '../planEditor.svelte';
  import { atPlace, withPlace } from '../planPath';
  import OriginOf from './OriginOf.svelte';
  import { beginning, chosen, followed, kindOf, numbersIn, references, usualAt, type Schema } from './schema';
  import Self from './SchemaField.svelte';

  /** One field of a part, drawn from the published schema; a part of a part is drawn the same way inside. */
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
  const label = $derived(raw.title ?? wordsOf(field));
  const unit = $derived(raw.unit ?? '');
  const named = $derived(references(raw, plan));
  const choices = $derived(schema.enum ? [] : (named ?? []));
  const isNumber = $derived(schema.type === 'number' || schema.type === 'integer');
  const error = $derived(editor.refused.find((one) => one.pointer === `/${path}`)?.detail);
  const least = $derived(schema.minimum ?? schema.exclusiveMinimum ?? -1e9);
  const most = $derived(schema.maximum ?? 1e9);
  const step = $derived(
    schema.type === 'integer'
      ? 1
      : ((size) => 10 ** Math.floor(Math.log10(Math.max(Math.abs(size), 0.01)) - 1))(Number(value) || 1),
  );
  const errorId = $props.id();

  const told = (one: unknown) =>
    one === undefined ? 'none' : typeof one === 'object' ? 'told' : `${String(one)}${unit ? ` ${unit}` : ''}`;

  /**
   * What was not set begins with what is usual for this battery and this charger, or else with the least there can be; either way every
   * number of it is a guess until somebody confirms it.
   */
  function begin(wanted: Schema) {
    const next = usualAt(editor.reading?.usualCharging, path) ?? beginning(wanted, plan);
    const begun = withPlace(plan, place, next);
    const origins = Object.fromEntries(
      numbersIn(next, path).map((one) => [one, { kind: 'GUESS' as const, note: '' }]),
    );
    editor.take({ ...begun, origins: { ...begun.origins, ...origins } }, `${label} of ${of} is set: a guess`);
  }

  function set(next: unknown) {
    const say = (before: unknown, after: unknown) => `${label} of ${of} ${told(before)} → ${told(after)}`;
    if (next === undefined) {
      const parent = place.slice(0, -1);
      const owner = atPlace(plan, parent) as object;
      const without = Object.fromEntries(Object.entries(owner).filter(([key]) => key !== field));
      editor.set(parent, without, () => `${label} of ${of} is no longer set`);
    } else {
      editor.set(place, next, say);
    }
  }
</script>

{#if schema.properties}
  <fieldset class="col-span-2 mt-2 border-l-2 border-rule pl-3">
    <legend class="float-left flex w-full items-center justify-between font-bold first-letter:uppercase"
      ><span>{label}</span>
      {#if !readonly && !required && value !== undefined}
        <button
          class="min-h-11 text-sm font-normal underline"
          aria-label="Take away {label} of {of}"
          onclick={() => set(undefined)}>take away</button
        >
      {/if}
    </legend>
    {#if value === undefined}
      <p class="clear-both text-soft">
        not set{#if !readonly}
          <button class="ml-2 min-h-11 underline" aria-label="Set {label} of {of}" onclick={() => begin(raw)}
            >set it…</button
          >
        {/if}
      </p>
    {:else}
      <div class="clear-both grid grid-cols-[8rem_1fr] items-start gap-x-3 gap-y-1">
        {#if outer.oneOf}
          <label class="contents"
            ><span class="pt-2 text-soft">kind</span>
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
        {#each Object.entries(schema.properties) as [key, part] (key)}
          {#if key !== 'id' && key !== 'kind'}
            <Self
              {editor}
              {plan}
              schema={part}
              field={key}
              value={(value as Record<string, unknown>)[key]}
              path="{path}/{key}"
              required={schema.required?.includes(key) ?? false}
              {of}
              {readonly}
            />
          {/if}
        {/each}
      </div>
    {/if}
  </fieldset>
{:else if schema.type === 'array' && followed(schema.items ?? {}).properties}
  <fieldset class="col-span-2 mt-2 border-l-2 border-rule pl-3">
    <legend class="float-left font-bold first-letter:uppercase">{label}</legend>
    <div class="clear-both">
      {#each (value ?? []) as unknown[] as entry, i (i)}
        <div class="grid grid-cols-[8rem_1fr] gap-x-3">
          <Self
            {editor}
            {plan}
            schema={schema.items ?? {}}
            field={(entry as { name?: string }).name ?? `${label} ${i + 1}`}
            value={entry}
            path="{path}/{(entry as { id?: string }).id ?? i}"
            required
            {of}
            {readonly}
          />
        </div>
        {#if !readonly}
          <button
            class="min-h-11 text-sm underline"
            onclick={() => set((value as unknown[]).filter((_, other) => other !== i))}>take this away</button
          >
        {/if}
      {:else}
        <p class="text-soft">none</p>
      {/each}
      {#if !readonly}
        <button
          class="min-h-11 underline"
          onclick={() => set([...((value ?? []) as unknown[]), beginning(schema.items ?? {}, plan)])}
          >one more…</button
        >
      {/if}
    </div>
  </fieldset>
{:else}
  <span class="pt-1.5 text-soft" title={schema.description}>{label}</span>
  <div class="min-w-0">
    {#if isNumber && schema.enum === undefined}
      {#if value === undefined}
        <span class="text-soft">not set</span>
        {#if !readonly}<button
            class="ml-2 min-h-9 underline"
            aria-label="Set {label} of {of}"
            onclick={() => begin(schema)}>set it…</button
          >{/if}
      {:else}
        <span class="flex flex-wrap items-center gap-x-2">
          <NumberChip
            chip={{
              kind: 'number',
              field: path,
              label: `${label} of ${of}`,
              value: Number(value),
              unit,
              step,
              bigStep: step * 5,
              least,
              most,
            }}
            value={Number(value)}
            {readonly}
            {error}
            change={set}
          />
          <OriginOf {editor} {path} label="{label} of {of}" {readonly} />
          {#if !readonly && !required}<button
              class="min-h-9 text-sm underline"
              aria-label="Unset {label} of {of}"
              onclick={() => set(undefined)}>unset</button
            >{/if}
        </span>
      {/if}
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
          <option value={one}>{String(one).toLowerCase().replaceAll('_', ' ')}</option>
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
        />{value === true ? 'yes' : value === false ? 'no' : 'not set'}</label
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
    {:else}
      {@const list = schema.type === 'array'}
      <Input
        class={FIELD}
        readonly={readonly || field === 'profile'}
        aria-label="{label} of {of}"
        aria-invalid={error ? 'true' : undefined}
        aria-describedby={error ? errorId : undefined}
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
