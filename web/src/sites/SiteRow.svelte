<script lang="ts">
  import type { SiteInList } from '../lib/api/api';
  import { decimal, day } from '../lib/sentence/quantity';
  import SeverityMark from '../lib/shell/SeverityMark.svelte';

  let { site }: { site: SiteInList } = $props();

  const severities = ['DANGER', 'CAUTION', 'NOTE'] as const;
  const plan = $derived(site.plan);
  const open = $derived(severities.filter((severity) => (plan?.findings[severity] ?? 0) > 0));
</script>

<li
  class="grid grid-cols-1 gap-x-6 gap-y-1 px-4 py-4 lg:grid-cols-[minmax(15rem,1.2fr)_1.3fr_minmax(9rem,0.7fr)_1.1fr] md:px-6"
>
  <div class="min-w-0">
    {#if plan}
      <a
        class="text-lg font-bold underline decoration-rule-strong underline-offset-4"
        href="#/site/{site.id}/plan">{site.name}</a
      >
    {:else}
      <p class="text-lg font-bold">{site.name}</p>
    {/if}
  </div>
  {#if plan}
    <p>
      <span class="number">{decimal(plan.nominalVolts)}</span> V,
      <span class="number">{decimal(plan.capacityAmpereHours)}</span>
      Ah, <span class="number">{decimal(plan.arrayWatts)}</span> W array, {plan.outputs} outputs
    </p>
    <p class="flex flex-wrap gap-3">
      {#each open as severity (severity)}
        <SeverityMark {severity} count={plan.findings[severity] ?? 0} />
      {:else}
        <span class="text-soft">no open findings</span>
      {/each}
    </p>
    <p class="text-soft">
      revision <span class="number">{plan.revision.number}</span>, {day(plan.revision.savedAt)}, {plan
        .revision.author}
    </p>
  {:else}
    <p class="text-soft lg:col-span-3">Still to be taken down: nothing is recorded of it yet.</p>
  {/if}
</li>
