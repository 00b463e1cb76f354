<script lang="ts">
  import { gate } from '../lib/along/gate.svelte';
  import { api, outcome, type Problem } from '../lib/api/client';
  import type { CommissioningView, WorkStep } from '../lib/api/api';
  import { day } from '../lib/sentence/quantity';
  import Action from '../lib/shell/Action.svelte';
  import Said from '../lib/shell/Said.svelte';
  import Trouble from '../lib/shell/Trouble.svelte';
  import StepRow from './StepRow.svelte';

  /** What is done at the site, one after the other, and what of it is done at this visit. */
  let { site, readonly, zone }: { site: string; readonly: boolean; zone: string } = $props();

  let view = $state.raw<CommissioningView>();
  let problem = $state.raw<Problem>();
  let refused = $state.raw<Problem>();
  let busy = $state(false);

  const path = $derived({ siteId: site });
  const PHASES: [WorkStep['phase'], string][] = [
    ['ARRIVAL', 'On arrival'],
    ['SETTING_UP', 'Before anything is switched on'],
    ['START_UP', 'Start-up: battery first, arrays last'],
    ['TAKING_DOWN', 'Taking down, the other way round'],
  ];
  /** Taking down is for another day: it counts for nothing. */
  const counted = $derived((view?.steps ?? []).filter((one) => one.step.phase !== 'TAKING_DOWN'));
  const done = $derived(counted.filter((one) => one.mark?.done).length);

  async function load() {
    const answer = await outcome(api.GET('/api/sites/{siteId}/commissioning', { params: { path } }));
    view = answer.data ?? view;
    problem = answer.problem;
  }
  $effect(() => {
    void gate.sent;
    void load();
  });

  async function take(call: ReturnType<typeof outcome<CommissioningView>>): Promise<boolean> {
    busy = true;
    const answer = await call;
    busy = false;
    refused = answer.problem;
    view = answer.data ?? view;
    return !answer.problem;
  }

  const begin = () =>
    take(
      outcome(
        api.POST('/api/sites/{siteId}/commissioning/rounds', {
          params: { path },
          body: { number: (view?.round ?? 0) + 1 },
        }),
      ),
    );
</script>

{#if problem}<Trouble {problem} retry={load} />{/if}
{#if !view}
  {#if !problem}<p class="p-6 text-soft" role="status">Reading the steps</p>{/if}
{:else}
  <div class="px-4 py-6 md:px-6">
    <p class="text-3xl leading-9 font-bold" role="status">
      {view.round === 0 ? 'No visit has begun.' : `${done} of ${counted.length} steps done.`}
    </p>
    {#if view.begunAt}
      <p class="mt-2 text-soft">
        Visit <span class="number">{view.round}</span>, begun on {day(view.begunAt, zone)} by {view.begunBy}.
      </p>
    {/if}
    <p class="mt-2 max-w-3xl text-soft">
      Made from the plan, not from what stands there. Whoever works on batteries, arrays and AC circuits
      follows local code and licensed practice; where it says stop, stop.
    </p>
    <div class="no-print mt-4 flex flex-wrap gap-3">
      {#if !readonly}
        <Action main={view.round === 0} onclick={begin} disabled={busy}>Begin visit {view.round + 1}</Action>
      {/if}
      <Action onclick={() => window.print()}>Print</Action>
      <Said problem={refused} />
    </div>
  </div>
  {#each PHASES as [phase, title] (phase)}
    {@const steps = view.steps.filter((one) => one.step.phase === phase)}
    {#if steps.length > 0}
      <section class="border-t border-rule px-4 py-5 md:px-6" aria-labelledby="phase-{phase}">
        <h2 id="phase-{phase}">{title}</h2>
        <ol class="mt-2">
          {#each steps as one, i (one.step.id)}
            <StepRow {site} {one} number={i + 1} round={view.round} {readonly} {zone} {busy} {take} />
          {/each}
        </ol>
      </section>
    {/if}
  {/each}
{/if}
