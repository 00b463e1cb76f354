<script lang="ts">
  import type { WordKnob } from '../lib/api/api';
  import { FIELD } from '../lib/shell/fieldLook';

  /** What a choice makes of other choices of the device: each a line; one more is chosen by its entry. */
  interface Props {
    label: string;
    value: Record<string, string>;
    others: WordKnob[];
    readonly: boolean;
    change: (next: Record<string, string>) => void;
  }
  let { label, value, others, readonly, change }: Props = $props();

  const entry = (key: string) => others.find((one) => one.setting === key);
  const left = $derived(others.filter((one) => !(one.setting in value) && one.choices.length > 0));
  const without = (key: string) =>
    Object.fromEntries(Object.entries(value).filter(([other]) => other !== key));

  function add(event: Event & { currentTarget: HTMLSelectElement }) {
    const chosen = entry(event.currentTarget.value);
    const first = chosen?.choices[0];
    if (chosen && first) change({ ...value, [chosen.setting]: first.is });
    event.currentTarget.value = '';
  }
</script>

<div role="group" aria-label="{label} chooses">
  {#each Object.entries(value) as [key, is] (key)}
    <span class="flex flex-wrap items-center gap-2 py-0.5">
      <span class="min-w-0">{entry(key)?.label ?? key}</span>
      <select
        class="{FIELD} w-40"
        disabled={readonly}
        aria-label="{entry(key)?.label ?? key} of {label}"
        value={is}
        onchange={(event) => change({ ...value, [key]: event.currentTarget.value })}
      >
        {#each entry(key)?.choices ?? [] as choice (choice.enter)}
          <option value={choice.is}>{choice.enter}</option>
        {/each}
      </select>
      {#if !readonly}<button
          class="min-h-9 text-sm underline underline-offset-4"
          aria-label="Take {entry(key)?.label ?? key} of {label} away"
          onclick={() => change(without(key))}>take away</button
        >{/if}
    </span>
  {/each}
  {#if !readonly && left.length > 0}
    <select
      class="{FIELD} w-64 max-w-full"
      aria-label="One more choice that {label} makes"
      value=""
      onchange={add}
    >
      <option value="">another choice…</option>
      {#each left as one (one.setting)}<option value={one.setting}>{one.label}</option>{/each}
    </select>
  {/if}
</div>
