<script lang="ts">
  import { FIELD } from '../../lib/shell/fieldLook';

  /** Numbers by names: each a line; one more is named first and then filled in. */
  interface Props {
    label: string;
    value: Record<string, number>;
    /** Id of a list of names to choose from. */
    names?: string;
    readonly: boolean;
    change: (next: Record<string, number>) => void;
  }
  let { label, value, names, readonly, change }: Props = $props();

  let name = $state('');
  /** Where what was typed is no number, and what was. */
  let wrong = $state<{ key: string; typed: string }>();

  function set(key: string, typed: string) {
    const number = Number(typed.trim().replace(',', '.'));
    const isNumber = typed.trim() !== '' && Number.isFinite(number);
    wrong = isNumber ? undefined : { key, typed };
    if (isNumber) change({ ...value, [key]: number });
  }

  function add() {
    const named = name.trim();
    if (named !== '' && !(named in value)) change({ ...value, [named]: 0 });
    name = '';
  }

  const without = (key: string) =>
    Object.fromEntries(Object.entries(value).filter(([other]) => other !== key));
</script>

<div role="group" aria-label={label}>
  {#each Object.entries(value) as [key, number] (key)}
    <span class="flex flex-wrap items-center gap-2 py-0.5">
      <span class="number min-w-0 break-all">{key}</span>
      <input
        class="{FIELD} w-28 text-right"
        inputmode="decimal"
        {readonly}
        aria-label="{key} of {label}"
        value={number}
        aria-invalid={wrong?.key === key ? 'true' : undefined}
        onchange={(event) => set(key, event.currentTarget.value)}
      />
      {#if !readonly}<button
          class="min-h-9 text-sm underline underline-offset-4"
          aria-label="Take {key} of {label} away"
          onclick={() => change(without(key))}>take away</button
        >{/if}
      {#if wrong?.key === key}<span class="text-sm text-danger" role="alert"
          >“{wrong.typed}” is not a number</span
        >{/if}
    </span>
  {/each}
  {#if !readonly}
    <span class="flex flex-wrap items-center gap-2 py-0.5">
      <input
        class="{FIELD} w-64 max-w-full"
        list={names}
        aria-label="One more for {label}"
        placeholder="one more…"
        bind:value={name}
        onkeydown={(event) => {
          if (event.key !== 'Enter') return;
          event.preventDefault();
          add();
        }}
      />
      <button class="min-h-9 underline underline-offset-4" disabled={name.trim() === ''} onclick={add}
        >add</button
      >
    </span>
  {/if}
</div>
