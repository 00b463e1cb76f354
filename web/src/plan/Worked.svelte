<script lang="ts">
  import type { Working } from '../lib/api/api';
  import { believable, told } from '../lib/sentence/quantity';
  import type { PlanEditor } from './planEditor.svelte';
  import Proposal from './Proposal.svelte';

  /** Sums done on paper, with their working, opened on demand. */
  let { editor, workings, readonly }: { editor: PlanEditor; workings: Working[]; readonly: boolean } =
    $props();
</script>

{#each workings as working (working.title)}
  <details class="border-t border-rule py-1">
    <summary class="opens flex min-h-11 cursor-pointer flex-wrap items-center gap-x-4">
      <span class="grow">{working.title}</span>
      <span class="number font-bold">{believable(working.value)} {working.unit}</span>
    </summary>
    <ol class="number mb-2 pl-4 text-sm leading-relaxed text-soft">
      {#each working.lines as line (line)}<li>{told(line)}</li>{/each}
    </ol>
    {#if working.takes && !readonly}
      <div class="mb-2"><Proposal {editor} path={working.path} says={working.takes.says} /></div>
    {/if}
  </details>
{/each}
