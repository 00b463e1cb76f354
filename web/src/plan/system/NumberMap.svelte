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
        onchange={(event) => {
          const typed = Number(event.currentTarget.value.replace(',', '.'));
          if (Number.isFinite(typed)) change({ ...value, [key]: typed });
          else event.currentTarget.value = String(number);
        }}
      />
      {#if !readonly}<button
          class="min-h-9 text-sm underline underline-offset-4"
          aria-label="Take {key} of {label} away"
          onclick={() => change(without(key))}>take away</button
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
