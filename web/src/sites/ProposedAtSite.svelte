<script lang="ts">
  import type { SiteProposal } from '../lib/api/api';
  import Action from '../lib/shell/Action.svelte';
  import SeverityMark from '../lib/shell/SeverityMark.svelte';

  /** What levels for many sites make of one of them: what changes, and what that makes wrong or clears. */
  interface Props {
    proposal: SiteProposal;
    /** What came of saving it, once that was tried. */
    saved: string | undefined;
    save: () => void;
  }
  let { proposal: one, saved, save }: Props = $props();
</script>

<article class="border-t border-rule px-4 py-4 md:px-6" aria-labelledby="site-{one.site}">
  <div class="flex flex-wrap items-center gap-4">
    <h2 id="site-{one.site}" class="grow">{one.name}</h2>
    {#if saved}<p role="status" class="font-bold">{saved}</p>
    {:else if one.plan && one.changes.length > 0}<Action onclick={save} aria-label="Save at {one.name}"
        >Save here</Action
      >{/if}
  </div>
  {#if one.refused}<p class="text-danger">Cannot be: {one.refused}</p>
  {:else if one.changes.length === 0}<p class="text-soft">
      Nothing changes here: it has no such level, or has it so already.
    </p>{/if}
  <ul class="mt-1">
    {#each one.changes as says (says)}<li class="tabular-nums">{says}</li>{/each}
  </ul>
  {#each [['makes wrong', one.appears], ['clears', one.clears]] as const as [word, findings] (word)}
    {#each findings as finding, i (i)}
      <p class="mt-1 flex flex-wrap items-center gap-3">
        <span class="w-24 text-soft">{word}</span><SeverityMark severity={finding.severity} />
        <span class="min-w-60 grow basis-0">{finding.text}</span>
      </p>
    {/each}
  {/each}
</article>
