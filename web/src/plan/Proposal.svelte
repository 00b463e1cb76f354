<script lang="ts">
  import { capital } from '../lib/sentence/quantity';
  import Action from '../lib/shell/Action.svelte';
  import type { Plan } from '../lib/api/api';
  import type { PlanEditor } from './planEditor.svelte';
  import { differences, type Difference } from '../lib/plan/planPath';

  /** A change that is proposed: looked at first, then taken; undo takes it back. */
  let { editor, path, says }: { editor: PlanEditor; path: string; says: string } = $props();

  let preview = $state.raw<{ from: Plan; to: Plan; changes: Difference[] }>();
  let asking = $state(false);
  const shown = $derived(preview && preview.from === editor.plan ? preview : undefined);

  async function look() {
    asking = true;
    const from = editor.plan;
    const to = await editor.proposed(path, says);
    asking = false;
    if (from && to) preview = { from, to, changes: differences(from, to) };
  }

  function take() {
    if (shown) editor.take(shown.to, says);
    preview = undefined;
  }
</script>

<div class="min-w-0 max-w-full">
  {#if shown}
    <div class="border-l-4 border-ink bg-raised px-3 py-2" role="group" aria-label="Preview: {says}">
      <p class="font-bold">{capital(says)}</p>
      <ul class="text-sm">
        {#each shown.changes as one (one.place)}
          <li>
            <span class="text-soft">{one.place}</span>
            <span class="number">{one.mine} → {one.theirs}</span>
          </li>
        {/each}
      </ul>
      <div class="mt-2 flex gap-2">
        <Action main onclick={take}>Apply</Action>
        <Action onclick={() => (preview = undefined)}>Cancel</Action>
      </div>
    </div>
  {:else}
    <Action
      onclick={look}
      disabled={asking}
      class="max-w-full py-1 text-left whitespace-normal"
      title="Shows what would change before anything does">{capital(says)}…</Action
    >
  {/if}
</div>
