<script lang="ts">
  import type { Finding } from '../lib/api/api';
  import { decimal } from '../lib/sentence/quantity';
  import SeverityMark from '../lib/shell/SeverityMark.svelte';

  let { finding }: { finding: Finding } = $props();

  const hazards: Record<Finding['hazard'], string> = {
    OVER_DISCHARGE: 'over-discharge',
    LOSS_OF_CONTROL: 'loss of control',
    NUISANCE: 'nuisance',
  };
</script>

<div class="mt-3 flex items-start gap-4 border-t border-rule pt-3" data-finding={finding.check}>
  <SeverityMark severity={finding.severity} />
  <div class="min-w-0">
    <p>{finding.text}</p>
    <p class="mt-1 flex flex-wrap gap-x-4 text-sm text-soft">
      <span>{hazards[finding.hazard]}</span>
      {#each finding.compared as one (one.name)}
        <span>{one.name} <span class="number text-ink">{decimal(one.value)} {one.unit}</span></span>
      {/each}
    </p>
  </div>
</div>
