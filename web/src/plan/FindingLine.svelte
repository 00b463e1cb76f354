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

<div class="mt-3 flex gap-4 border-t border-rule pt-3" data-finding={finding.check}>
  <SeverityMark severity={finding.severity} />
  <div>
    <p>{finding.text}</p>
    <p class="mt-1 text-sm text-soft">
      {hazards[finding.hazard]}{#each finding.compared as one (one.name)}<span class="whitespace-nowrap"
          >, {one.name} <span class="number text-ink">{decimal(one.value)} {one.unit}</span></span
        >{/each}
    </p>
  </div>
</div>
