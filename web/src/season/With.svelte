<script lang="ts">
  import { onMount, untrack } from 'svelte';
  import { router } from 'svelte-spa-router';
  import { gate } from '../lib/along/gate.svelte';
  import type { Plan } from '../lib/api/api';
  import { FIELD } from '../lib/shell/fieldLook';
  import Trouble from '../lib/shell/Trouble.svelte';
  import { AS_WRITTEN, choicesFor, OTHERWISE } from './compared';
  import ConditionsForm from './ConditionsForm.svelte';
  import ConditionsLine from './ConditionsLine.svelte';
  import Otherwise from './Otherwise.svelte';
  import type { SeasonRun } from './run.svelte';
  import type { SecondRun } from './secondRun.svelte';

  /** What else runs on the same days and stands on the same tape. */
  interface Props {
    plan: Plan;
    season: SeasonRun;
    second: SecondRun;
  }
  let { plan, season, second }: Props = $props();

  const WAIT = 250;
  const choices = $derived(choicesFor(plan, second.revisions));

  onMount(() => {
    if (new URLSearchParams(router.querystring).has('as-written')) second.chosen = AS_WRITTEN;
    void second.load();
  });

  // Beside whatever run is over it is run too, and anew when another one is asked for.
  $effect(() => {
    const run = season.done?.work.id;
    void [second.chosen, second.asked.inputs(plan)];
    if (!run || second.chosen === undefined || !season.isBegun(plan)) return;
    const soon = setTimeout(() => untrack(() => void second.run(plan, season.asked, run)), WAIT);
    return () => clearTimeout(soon);
  });
</script>

{#if gate.along?.offline}
  <p class="py-2 text-sm text-soft">Run and kept in this browser. What stands beside it is for the server.</p>
{:else}
  <label class="no-print flex min-w-0 items-center gap-2 text-sm">
    with
    <select
      class="{FIELD} max-w-64"
      aria-label="with"
      value={second.chosen ?? ''}
      onchange={(event) => {
        const { value } = event.currentTarget;
        second.choose(value === '' ? undefined : Number(value), season.asked.inputs(plan));
      }}
    >
      <option value="">nothing beside it</option>
      {#each choices as [number, says] (number)}<option value={number}>{says}</option>{/each}
    </select>
  </label>
{/if}
{#if second.chosen === OTHERWISE}
  <div class="w-full border-l-4 border-rule-strong pl-3">
    <ConditionsLine asked={second.asked} otherwise>
      <ConditionsForm asked={second.asked} weatherOnly />
      <Otherwise asked={second.asked} />
    </ConditionsLine>
  </div>
{/if}
{#if second.problem}<Trouble problem={second.problem} retry={() => second.load()} />{/if}
