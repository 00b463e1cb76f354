<script lang="ts">
  import type { Snippet } from 'svelte';
  import type { Finding } from '../lib/api/api';
  import { compared, told } from '../lib/sentence/quantity';
  import SeverityMark from '../lib/shell/SeverityMark.svelte';
  import { HAZARDS } from './hazards';
  import type { PlanEditor } from './planEditor.svelte';
  import Proposal from './Proposal.svelte';

  interface Props {
    finding: Finding;
    /** Where its cures can be applied; none in a finding of a run or for who may only look. */
    editor?: PlanEditor;
    /** What it stands at, where that is not plain from its surroundings. */
    at?: string;
    /** Goes to the place it is about. */
    go?: () => void;
    /** What else can be done with it. */
    children?: Snippet;
  }
  let { finding, editor, at, go, children }: Props = $props();
</script>

<div class="mt-3 flex items-start gap-3 border-t border-rule pt-3" data-finding={finding.check}>
  <span class="w-20 shrink-0"><SeverityMark severity={finding.severity} /></span>
  <div class="min-w-0">
    <p>
      {#if at}<strong>{at}:</strong>{/if}
      {told(finding.text)}
    </p>
    <p class="mt-1 flex flex-wrap gap-x-4 text-sm text-soft">
      <span>{HAZARDS[finding.hazard]}</span>
      {#each finding.compared as one (one.name)}
        <span
          >{one.name}
          <span class="number text-ink">{compared(one.value, one.unit)}</span>{one.origin
            ? ` (${one.origin})`
            : ''}</span
        >
      {/each}
      {#if finding.certainty !== undefined}
        <span>sure to <span class="number text-ink">{Math.round(finding.certainty * 100)} %</span></span>
      {/if}
    </p>
    <div class="mt-1 flex flex-wrap items-center gap-x-5">
      {#if editor}
        {#each finding.cures as cure (cure.says)}
          <Proposal {editor} path={finding.path} says={cure.says} />
        {/each}
      {/if}
      {#if go}<button class="min-h-11 text-sm underline" onclick={go}>Go there</button>{/if}
      {@render children?.()}
    </div>
  </div>
</div>
