<script lang="ts">
  import type { Sentence } from '../api/api';
  import { atPlace } from '../plan/planPath';
  import NumberChip from './NumberChip.svelte';

  interface Props {
    /** As the server said it: words, and chips that name a field of the rule. */
    sentence: Sentence;
    /** The rule being edited; its values are shown. */
    rule: Record<string, unknown>;
    /** Path of the rule in the plan: its levels light up with their pegs. */
    path?: string;
    readonly?: boolean;
    /** What the server refused, by field. */
    errors?: Record<string, string>;
    change: (field: string, label: string, value: number | string) => void;
  }
  let { sentence, rule, path, readonly = false, errors = {}, change }: Props = $props();

  const held = (field: string) => atPlace(rule, field.split('.'));
</script>

<p class="text-[1.0625rem] leading-[2.6rem]">
  {#each sentence.parts as part, i (i)}
    {#if part.kind === 'words'}{part.text}{:else if part.kind === 'number'}
      <NumberChip
        chip={part}
        value={Number(held(part.field) ?? part.value)}
        error={errors[part.field]}
        {readonly}
        {...path ? { path: `${path}/${part.field.replaceAll('.', '/')}` } : {}}
        change={(value) => change(part.field, part.label, value)}
      />
    {:else}
      <select
        class="choice"
        aria-label={part.label}
        disabled={readonly}
        value={String(held(part.field) ?? part.value)}
        onchange={(event) => change(part.field, part.label, event.currentTarget.value)}
      >
        {#each part.choices as choice (choice.value)}<option value={choice.value}>{choice.label}</option
          >{/each}
      </select>
    {/if}
  {/each}
</p>

<style>
  .choice {
    min-height: 2rem;
    padding: 0 0.25rem;
    appearance: auto;
    border: 1px solid var(--rule-strong);
    border-bottom-width: 3px;
    border-radius: 3px;
    background-color: var(--paper-raised);
    color: var(--ink);
    font-weight: 700;
  }
  .choice:disabled {
    appearance: none;
    border-color: transparent;
    opacity: 1;
  }
  @media (pointer: coarse) {
    .choice {
      min-height: 44px;
    }
  }
</style>
