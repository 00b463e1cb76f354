<script lang="ts">
  /** Some of a few: days of the week, months. */
  interface Props {
    label: string;
    options: { value: string | number; name: string }[];
    value: (string | number)[];
    readonly: boolean;
    change: (next: (string | number)[]) => void;
  }
  let { label, options, value, readonly, change }: Props = $props();

  /** In the order of the week or the year, whatever was pressed first. */
  function toggle(one: string | number) {
    const next = value.includes(one) ? value.filter((other) => other !== one) : [...value, one];
    change(options.map((option) => option.value).filter((option) => next.includes(option)));
  }
</script>

<div class="flex flex-wrap" role="group" aria-label={label}>
  {#each options as option (option.value)}
    {@const on = value.includes(option.value)}
    <button
      class="min-h-9 min-w-11 border border-rule-strong px-1 text-sm {on
        ? 'bg-ink font-bold text-paper'
        : ''}"
      aria-pressed={on}
      disabled={readonly}
      onclick={() => toggle(option.value)}>{option.name}</button
    >
  {/each}
</div>
{#if value.length === 0}<p class="text-sm text-soft">none chosen: all</p>{/if}
