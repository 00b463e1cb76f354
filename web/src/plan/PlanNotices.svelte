<script lang="ts">
  import type { Plan } from '../lib/api/api';
  import { namedAt } from '../lib/plan/planPath';
  import { day } from '../lib/sentence/quantity';
  import Action from '../lib/shell/Action.svelte';
  import type { PlanEditor } from './planEditor.svelte';

  /** What is to be known of a plan before it is worked on: changes from before, what cannot be saved, and who else has changes. */
  interface Props {
    editor: PlanEditor;
    plan: Plan | undefined;
    /** Goes to the field that a pointer names. */
    go: (pointer: string) => void;
  }
  let { editor, plan, go }: Props = $props();
</script>

{#if editor.restored && editor.dirty}
  <div class="m-4 flex flex-wrap items-center gap-4 border-l-4 border-ink bg-raised p-3 md:m-6" role="status">
    <p class="grow">Unsaved changes from before are back.</p>
    <Action onclick={() => editor.discard()}>Discard them</Action>
  </div>
{/if}
{#if plan && editor.refused.length > 0}
  <div id="refused" class="m-4 border-l-4 border-danger bg-raised p-3 md:m-6" role="status">
    <p class="font-bold">As it stands this cannot be saved:</p>
    <ul>
      {#each editor.refused as one, i (i)}
        <li>
          <button class="min-h-8 text-left underline" onclick={() => go(one.pointer)}
            >{namedAt(plan, one.pointer)}</button
          >: {one.detail}
        </li>
      {/each}
    </ul>
  </div>
{/if}
{#if editor.lost}
  <p class="m-4 border-l-4 border-caution bg-raised p-3 md:m-6" role="alert">{editor.lost}</p>
{/if}
{#each editor.others as other (other.author)}
  <p class="border-b border-rule px-4 py-2 text-soft md:px-6" role="status">
    {other.author} has changes here that are not saved, last on {day(other.savedAt)}.
  </p>
{/each}
