<script lang="ts">
  import type { Origin } from '../../lib/api/api';
  import type { PlanEditor } from '../planEditor.svelte';

  /** Where a number comes from; what is only guessed is marked. */
  interface Props {
    editor: PlanEditor;
    path: string;
    label: string;
    readonly: boolean;
  }
  let { editor, path, label, readonly }: Props = $props();

  const kinds: [Origin['kind'], string][] = [
    ['MAKERS_SHEET', 'maker’s sheet'],
    ['STANDARD', 'standard'],
    ['COMMON_PRACTICE', 'common practice'],
    ['MEASURED', 'measured'],
    ['GUESS', 'unconfirmed'],
  ];
  const origin = $derived(editor.plan?.origins[path]);

  function set(kind: string) {
    if (!editor.plan) return;
    const others = Object.fromEntries(Object.entries(editor.plan.origins).filter(([key]) => key !== path));
    const next = kind === '' ? others : { ...others, [path]: { kind, note: origin?.note ?? '' } };
    editor.set(['origins'], next, () => `origin of ${label} changed`);
  }
</script>

{#if readonly}
  {#if origin}<span class="text-sm text-soft">{kinds.find(([kind]) => kind === origin.kind)?.[1]}</span>{/if}
{:else}
  <select
    class="origin {origin?.kind === 'GUESS' ? 'font-bold text-caution' : 'text-soft'}"
    aria-label="Origin of {label}"
    title={origin?.note || undefined}
    value={origin?.kind ?? ''}
    onchange={(event) => set(event.currentTarget.value)}
  >
    <option value="">origin?</option>
    {#each kinds as [kind, word] (kind)}<option value={kind}>{word}</option>{/each}
  </select>
{/if}

<style>
  .origin {
    min-height: 1.75rem;
    field-sizing: content;
    max-width: 8.5rem;
    padding: 0 1.5rem 0 0.25rem;
    background-position: right 0.1rem center;
    border: none;
    background-color: transparent;
    font-size: 0.875rem;
  }
  @media (pointer: coarse) {
    .origin {
      min-height: 44px;
    }
  }
</style>
