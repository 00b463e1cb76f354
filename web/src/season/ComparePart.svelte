<script lang="ts">
  import { onMount, untrack } from 'svelte';
  import { router } from 'svelte-spa-router';
  import { api, outcome, type Problem } from '../lib/api/client';
  import type { Plan, Revision } from '../lib/api/api';
  import Action from '../lib/shell/Action.svelte';
  import Trouble from '../lib/shell/Trouble.svelte';
  import { AS_WRITTEN, NOW, variantOf } from './compared';
  import { Conditions } from './conditions.svelte';
  import ConditionsForm from './ConditionsForm.svelte';
  import ConditionsLine from './ConditionsLine.svelte';
  import FiguresBoth from './FiguresBoth.svelte';
  import LevelsOf from './LevelsOf.svelte';
  import { bothLines, linesOf } from './lines';
  import Otherwise from './Otherwise.svelte';
  import RevisionChoice from './RevisionChoice.svelte';
  import { RunWindow, type SeasonRun } from './run.svelte';
  import RunTape from './RunTape.svelte';
  import { Spans } from './spans.svelte';
  import WhatDiffers from './WhatDiffers.svelte';
  import WorkBar from './WorkBar.svelte';
  import { LongWork } from './work.svelte';

  /** Two revisions, or another weather, age or load, on the same axes. */
  let { plan, season }: { plan: Plan; season: SeasonRun } = $props();

  const work = $derived(new LongWork(season.site, 'comparison'));
  const first = new Conditions();
  const second = new Conditions();
  const before = $derived(new RunWindow(season.site, 'before'));
  const after = $derived(new RunWindow(season.site, 'after'));
  let revisions = $state.raw<Revision[]>([]);
  /** The revision before the last stands first until another is chosen. */
  let chosen = $state<number | undefined>(
    new URLSearchParams(router.querystring).has('as-written') ? AS_WRITTEN : undefined,
  );
  const one = $derived(chosen ?? revisions[1]?.number ?? NOW);
  let other = $state(NOW);
  let problem = $state<Problem>();
  const done = $derived(work.done?.comparison);
  const spans = new Spans(() => done?.before.durationSeconds ?? first.days * 86_400);
  const names = $derived(Object.fromEntries(plan.program.outputs.map((out) => [out.id, out.name])));
  /** Of which output the levels are drawn. */
  let of = $state(untrack(() => plan.program.outputs[0]?.id));
  const lines = $derived(
    bothLines(linesOf(done?.before.levels ?? [], names, of), linesOf(done?.after.levels ?? [], names, of)),
  );

  // The second is of the same days.
  $effect(() => {
    second.from = first.from;
    second.days = first.days;
  });

  onMount(async () => {
    first.days = second.days = 30;
    first.weather = second.weather = 'PLACE';
    const answer = await outcome(
      api.GET('/api/sites/{siteId}/revisions', { params: { path: { siteId: season.site } } }),
    );
    problem = answer.problem;
    revisions = answer.data ?? [];
    await work.resume();
  });

  async function planOf(number: number): Promise<Plan | undefined> {
    const variant = variantOf(plan, number);
    if (variant) return variant;
    const answer = await outcome(
      api.GET('/api/sites/{siteId}/revisions/{number}', {
        params: { path: { siteId: season.site, number } },
      }),
    );
    problem = answer.problem;
    return answer.data?.plan;
  }

  async function compare(event: SubmitEvent) {
    event.preventDefault();
    const [a, b] = [await planOf(one), await planOf(other)];
    if (!a || !b) return;
    spans.show(undefined);
    const body = {
      before: first.inputs(a),
      after: { ...second.inputs(b), from: first.from, days: first.days },
    };
    await work.begin(() =>
      api.POST('/api/season/{siteId}/comparisons', { params: { path: { siteId: season.site } }, body }),
    );
  }
</script>

<form class="grid gap-4 px-4 pt-4 md:px-6 xl:grid-cols-2" onsubmit={compare}>
  <fieldset class="grid min-w-0 content-start gap-3">
    <legend class="font-bold">First</legend>
    <RevisionChoice {plan} {revisions} value={one} choose={(to) => (chosen = to)} />
    <ConditionsLine asked={first}>
      <ConditionsForm asked={first} />
      <Otherwise asked={first} />
    </ConditionsLine>
  </fieldset>
  <fieldset class="grid min-w-0 content-start gap-3">
    <legend class="font-bold">Second, from the same day and as long</legend>
    <RevisionChoice {plan} {revisions} value={other} choose={(to) => (other = to)} />
    <ConditionsLine asked={second}>
      <ConditionsForm asked={second} weatherOnly />
      <Otherwise asked={second} />
    </ConditionsLine>
  </fieldset>
  <div class="flex flex-wrap items-center gap-4 xl:col-span-2">
    <Action main type="submit">Compare</Action>
    <div class="min-w-64 grow"><WorkBar {work} what="Running both" /></div>
  </div>
</form>
{#if problem}<Trouble {problem} />{/if}
{#if work.done && done}
  <WhatDiffers comparison={done.comparison} />
  <RunTape
    id={work.done.work.id}
    run={done.before}
    {plan}
    {spans}
    looked={before}
    second={after}
    secondRun={done.after}
    {lines}
  >
    {#snippet beside()}
      <LevelsOf outputs={plan.program.outputs} {of} choose={(id) => (of = id)} />
    {/snippet}
  </RunTape>
  <FiguresBoth figures={done.comparison.figures} />
{:else if !work.running}
  <p class="px-4 py-4 text-soft md:px-6">
    Two runs on the same axes, their differences in figures, lanes and sentences.
  </p>
{/if}
