<script lang="ts">
  import type { Finding } from '../lib/api/api';
  import { believable } from '../lib/sentence/quantity';
  import SeverityMark from '../lib/shell/SeverityMark.svelte';
  import type { PlanEditor } from './planEditor.svelte';
  import Proposal from './Proposal.svelte';

  interface Props {
    finding: Finding;
    /** Where its cures can be applied; none in a finding of a run or for who may only look. */
    editor?: PlanEditor;
    /** What it stands at, where that is not plain from its surroundings. */
    at?: string;
  }
  let { finding, editor, at }: Props = $props();

  const hazards: Record<Finding['hazard'], string> = {
    SHOCK: 'shock',
    GAS: 'gas',
    COLD_OR_HOT_CHARGE: 'cold or hot charge',
    OVER_CHARGE: 'over-charge',
    OVER_DISCHARGE: 'over-discharge',
    OVERLOAD: 'overload',
    LOSS_OF_CONTROL: 'loss of control',
    WASTE: 'waste',
    NUISANCE: 'nuisance',
  };
</script>

<div class="mt-3 flex items-start gap-4 border-t border-rule pt-3" data-finding={finding.check}>
  <SeverityMark severity={finding.severity} />
  <div class="min-w-0">
    <p>
      {#if at}<strong>{at}:</strong>{/if}
      {finding.text}
    </p>
    <p class="mt-1 flex flex-wrap gap-x-4 text-sm text-soft">
      <span>{hazards[finding.hazard]}</span>
      {#each finding.compared as one (one.name)}
        <span
          >{one.name}
          <span class="number text-ink">{believable(one.value)} {one.unit}</span>{one.origin
            ? ` (${one.origin})`
            : ''}</span
        >
      {/each}
      {#if finding.certainty !== undefined}
        <span>sure to <span class="number text-ink">{Math.round(finding.certainty * 100)} %</span></span>
      {/if}
    </p>
    {#if editor}
      {#each finding.cures as cure (cure.says)}
        <Proposal {editor} path={finding.path} says={cure.says} />
      {/each}
    {/if}
  </div>
</div>
