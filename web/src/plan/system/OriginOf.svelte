<script lang="ts">
  import type { Origin } from '../../lib/api/api';
  import type { PlanEditor } from '../planEditor.svelte';

  /** Where a number comes from, as a small mark that opens: a list to choose from lies over it. What is only guessed stands out. */
  interface Props {
    editor: PlanEditor;
    path: string;
    label: string;
    readonly: boolean;
  }
  let { editor, path, label, readonly }: Props = $props();

  const kinds: [Origin['kind'], string, string][] = [
    ['MAKERS_SHEET', '✓', 'maker’s sheet'],
    ['STANDARD', '§', 'standard'],
    ['COMMON_PRACTICE', '~', 'common practice'],
    ['MEASURED', '≈', 'measured'],
    ['FITTED', '∿', 'fitted to what was recorded'],
    ['GUESS', '?', 'unconfirmed'],
  ];
  const origin = $derived(editor.plan?.origins[path]);
  const known = $derived(kinds.find(([kind]) => kind === origin?.kind));
  const told = $derived([known?.[2] ?? 'origin not set', origin?.note].filter(Boolean).join(': '));

  function set(kind: string) {
    if (!editor.plan) return;
    const others = Object.fromEntries(Object.entries(editor.plan.origins).filter(([key]) => key !== path));
    const next = kind === '' ? others : { ...others, [path]: { kind, note: origin?.note ?? '' } };
    editor.set(['origins'], next, () => `origin of ${label} changed`);
  }
</script>

<span
  class="origin {origin?.kind === 'GUESS' ? 'font-bold text-caution' : 'text-soft'}"
  title="{label}: {told}"
>
  <span aria-hidden={readonly ? undefined : 'true'}>{known?.[1] ?? '○'}</span>
  {#if readonly}<span class="sr-only">{told}</span>
  {:else}
    <select
      aria-label="Origin of {label}"
      value={origin?.kind ?? ''}
      onchange={(event) => set(event.currentTarget.value)}
    >
      <option value="">origin not set</option>
      {#each kinds as [kind, mark, word] (kind)}<option value={kind}>{mark} {word}</option>{/each}
    </select>
  {/if}
</span>

<style>
  .origin {
    position: relative;
    display: inline-grid;
    place-items: center;
    min-width: 2rem;
    min-height: 2rem;
    font-size: 1.05rem;
  }
  .origin:focus-within {
    outline: 3px solid var(--focus);
  }
  .origin:hover {
    background: var(--paper-sunk);
  }
  select {
    position: absolute;
    inset: 0;
    width: 100%;
    opacity: 0;
    cursor: pointer;
  }
  @media (pointer: coarse) {
    .origin {
      min-width: 44px;
      min-height: 44px;
    }
  }
</style>
