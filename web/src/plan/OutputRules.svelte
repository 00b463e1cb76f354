<script lang="ts">
  import type { Output, OutputReading, Rule } from '../lib/api/api';
  import SentenceEditor from '../lib/sentence/SentenceEditor.svelte';
  import type { PlanEditor } from './planEditor.svelte';
  import OptionalParts from './OptionalParts.svelte';

  type Slot = 'automatic' | 'protection' | 'lockout';

  /** What decides over an output, in sentences: its rule, what guards it and its lockout. */
  interface Props {
    editor: PlanEditor;
    output: Output;
    reading: OutputReading | undefined;
    readonly: boolean;
    errors: (slot: Slot) => Record<string, string>;
    change: (slot: Slot, field: string, label: string, value: number | string) => void;
  }
  let { editor, output, reading, readonly, errors, change }: Props = $props();

  /** What the published schema calls a rule. */
  const kindOf = (rule: Rule) => rule.kind.charAt(0).toUpperCase() + rule.kind.slice(1);
  const pathOf = (slot: Slot) => `program/outputs/${output.id}/${slot}`;
</script>

{#snippet sentence(slot: Slot)}
  {@const said = reading?.[slot]}
  {@const rule = output[slot]}
  {#if said && rule}
    <SentenceEditor
      sentence={said}
      {rule}
      path={pathOf(slot)}
      {readonly}
      errors={errors(slot)}
      change={(field, label, value) => change(slot, field, label, value)}
    />
    {#if !readonly && slot !== 'lockout'}
      <OptionalParts
        {editor}
        value={rule}
        schema={kindOf(rule as Rule)}
        path={pathOf(slot)}
        of={output.name}
      />
    {/if}
  {/if}
{/snippet}

{#if output.automatic && reading?.automatic}
  <div class="rule {output.mode === 'BY_RULE' ? '' : 'text-soft'}">
    <p class="text-sm text-soft">rule</p>
    {@render sentence('automatic')}
    {#if output.mode !== 'BY_RULE'}<p class="text-sm">
        Kept, but not acting: the mode is {output.mode.toLowerCase()}.
      </p>{/if}
  </div>
{/if}
{#if output.protection && reading?.protection}
  <div class="rule guard">
    <p class="text-sm text-soft">protection, always wins</p>
    {@render sentence('protection')}
  </div>
{/if}
{#if output.lockout && reading?.lockout}
  {@render sentence('lockout')}
{/if}

<style>
  .rule {
    margin-top: 0.5rem;
    padding-left: 0.75rem;
    border-left: 2px solid var(--rule);
  }
  .guard {
    border-left: 4px solid var(--battery);
  }
</style>
