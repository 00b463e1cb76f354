<script lang="ts">
  import Action from '../lib/shell/Action.svelte';
  import { day } from '../lib/sentence/quantity';
  import { differences, type Side } from '../lib/plan/planPath';
  import type { PlanEditor } from './planEditor.svelte';

  /** Somebody saved meanwhile: both are joined, and where they clash one is chosen. */
  let { editor }: { editor: PlanEditor } = $props();

  const theirs = $derived(editor.conflict);
  const clashes = $derived(theirs?.clashes ?? []);
  const alongside = $derived(theirs ? differences(editor.plan, theirs.merged) : []);
  let chosen = $state<Record<string, Side>>({});
  const choice = (path: string): Side => chosen[path] ?? 'mine';

  const told = (value: unknown) =>
    value === undefined ? 'taken away' : typeof value === 'object' ? 'changed' : String(value);
</script>

{#if theirs}
  <section class="m-4 border-2 border-danger bg-raised p-4 md:m-6" aria-labelledby="conflict">
    <h2 id="conflict">{theirs.revision.author} saved revision {theirs.revision.number} meanwhile</h2>
    <p class="mt-1">
      {day(theirs.revision.savedAt)}{theirs.revision.changes.length > 0
        ? `: ${theirs.revision.changes.join('; ')}`
        : ''}. Nothing of yours was saved or lost.
    </p>
    {#if alongside.length > 0}
      <h3 class="mt-3">Taken along from theirs</h3>
      <ul>
        {#each alongside as one (one.place)}
          <li>{one.place} <span class="number">{one.mine} → {one.theirs}</span></li>
        {/each}
      </ul>
    {/if}
    {#if clashes.length > 0}
      <h3 class="mt-3">Changed by both: which is to stand?</h3>
      {#each clashes as clash (clash.path.join('/'))}
        {@const path = clash.path.join('/')}
        <fieldset class="mt-1 flex flex-wrap items-center gap-x-6 border-t border-rule py-1">
          <legend class="float-left mr-4 min-w-48">{clash.place}</legend>
          {#each [['mine', 'yours', clash.mine], ['theirs', 'theirs', clash.theirs]] as const as [which, word, value] (which)}
            <label class="flex min-h-11 cursor-pointer items-center gap-2">
              <input
                type="radio"
                name="clash-{path}"
                checked={choice(path) === which}
                onchange={() => (chosen[path] = which)}
              />
              {word} <span class="number font-bold">{told(value)}</span>
            </label>
          {/each}
        </fieldset>
      {/each}
    {/if}
    <div class="mt-4 flex flex-wrap gap-3">
      <Action main onclick={() => editor.saveJoined(choice)}>Save both joined</Action>
      <Action onclick={() => editor.takeTheirs()}>Take theirs (undo brings mine back)</Action>
    </div>
  </section>
{/if}
