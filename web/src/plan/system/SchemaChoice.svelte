<script lang="ts">
  import { Input } from 'flowbite-svelte';
  import { FIELD } from '../../lib/shell/fieldLook';
  import { choiceOf } from '../../lib/words';
  import NumberMap from './NumberMap.svelte';
  import Picks from './Picks.svelte';
  import { picksOf, type Schema } from './schema';

  /** A field that is no number: chosen from a list, ticked, or written. */
  interface Props {
    schema: Schema;
    /** Parts of the site that it can refer to; none where it refers to none. */
    named: { id: string; name: string }[] | undefined;
    /** What it is called, and of what. */
    label: string;
    value: unknown;
    required: boolean;
    readonly: boolean;
    /** What is written in it is not to be written over. */
    fixed: boolean;
    error: string | undefined;
    set: (next: unknown) => void;
  }
  let { schema, named, label, value, required, readonly, fixed, error, set }: Props = $props();

  const picks = $derived(picksOf(schema));
  const choices = $derived(schema.enum ? [] : (named ?? []));
  const errorId = $props.id();
</script>

{#if schema.enum || (named && schema.type === 'string')}
  <select
    class="{FIELD} w-full"
    disabled={readonly}
    aria-label={label}
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
      aria-label={label}
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
    {label}
    value={(value ?? {}) as Record<string, number>}
    names="settables"
    {readonly}
    change={set}
  />
{:else if picks}
  <Picks {label} options={picks} value={(value ?? []) as (string | number)[]} {readonly} change={set} />
{:else}
  {@const list = schema.type === 'array'}
  <Input
    class={FIELD}
    readonly={readonly || fixed}
    aria-label={label}
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
