<script lang="ts">
  import Action from '../lib/shell/Action.svelte';
  import { day } from '../lib/sentence/quantity';
  import { differences } from './planPath';
  import type { PlanEditor } from './planEditor.svelte';

  /** Somebody saved meanwhile: what differs, and which is to be kept. */
  let { editor }: { editor: PlanEditor } = $props();

  const theirs = $derived(editor.conflict);
  const differing = $derived(theirs ? differences(editor.plan, theirs.plan) : []);
</script>

{#if theirs}
  <section class="m-4 border-2 border-danger bg-raised p-4 md:m-6" aria-labelledby="conflict">
    <h2 id="conflict">{theirs.revision.author} saved revision {theirs.revision.number} meanwhile</h2>
    <p class="mt-1">
      {day(theirs.revision.savedAt)}{theirs.revision.note ? `: ${theirs.revision.note}` : ''}. Nothing of
      yours was saved or lost.
    </p>
    {#if differing.length > 0}
      <table class="mt-3 w-full text-left">
        <thead class="text-sm text-soft">
          <tr
            ><th class="pr-4 font-normal">where</th><th class="pr-4 font-normal">yours</th><th
              class="font-normal">theirs</th
            ></tr
          >
        </thead>
        <tbody>
          {#each differing as one (one.place)}
            <tr class="border-t border-rule">
              <td class="py-1 pr-4">{one.place}</td>
              <td class="number py-1 pr-4">{one.mine}</td>
              <td class="number py-1">{one.theirs}</td>
            </tr>
          {/each}
        </tbody>
      </table>
    {/if}
    <div class="mt-4 flex flex-wrap gap-3">
      <Action main onclick={() => editor.keepMine()}>Save mine on top of theirs</Action>
      <Action onclick={() => editor.takeTheirs()}>Take theirs (undo brings mine back)</Action>
    </div>
  </section>
{/if}
