<script lang="ts">
  import { shownNumber } from '../lib/along/local';
  import { onMount, untrack } from 'svelte';
  import { router } from 'svelte-spa-router';
  import { api, outcome, type Problem } from '../lib/api/client';
  import type { Plan, Revision } from '../lib/api/api';
  import { fixed } from '../lib/sentence/quantity';
  import Action from '../lib/shell/Action.svelte';
  import { FIELD } from '../lib/shell/fieldLook';
  import Trouble from '../lib/shell/Trouble.svelte';
  import { withPlace } from '../lib/plan/planPath';
  import { Conditions } from './conditions.svelte';
  import ConditionsForm from './ConditionsForm.svelte';
  import ConditionsLine from './ConditionsLine.svelte';
  import { bothLines, linesOf } from './lines';
  import Otherwise from './Otherwise.svelte';
  import { RunWindow, type SeasonRun } from './run.svelte';
  import RunTape from './RunTape.svelte';
  import { Spans } from './spans.svelte';
  import WorkBar from './WorkBar.svelte';
  import { LongWork } from './work.svelte';

  /** Two revisions, or another weather, age or load, on the same axes. */
  let { plan, season }: { plan: Plan; season: SeasonRun } = $props();

  const NOW = -1;
  const WITHOUT_WINDOWS = -2;
  const AS_WRITTEN = -3;
  /** So many differences stand first. */
  const MOST_TOLD = 5;
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

  /** What charges in windows only charges at all times without them: else nothing would. */
  function withoutWindows(): Plan {
    const ac = plan.program.ac;
    const charging = ac?.charging === 'IN_WINDOWS' ? 'BOTH' : ac?.charging;
    return withPlace(plan, ['program', 'ac'], { ...ac, charging, windows: [] });
  }

  /** Every number as the plan has it, whatever the devices make of it. */
  const asWritten = (): Plan => ({
    ...plan,
    program: { ...plan.program, devices: [], links: [], unsent: [], drifted: [] },
  });

  async function planOf(number: number): Promise<Plan | undefined> {
    if (number === NOW) return plan;
    if (number === WITHOUT_WINDOWS) return withoutWindows();
    if (number === AS_WRITTEN) return asWritten();
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

{#snippet revision(label: string, value: number, put: (to: number) => void)}
  <label class="flex min-w-0 flex-col text-sm">
    {label}
    <select class={FIELD} {value} onchange={(event) => put(Number(event.currentTarget.value))}>
      <option value={NOW}>as it is now, with unsaved changes</option>
      {#if plan.program.ac?.windows?.length}
        <option value={WITHOUT_WINDOWS}>as it is now, without its windows</option>
      {/if}
      {#if plan.program.devices?.length}
        <option value={AS_WRITTEN}>as it is written, whatever its devices make of it</option>
      {/if}
      {#each revisions as rev (rev.number)}
        <option value={rev.number}>revision {shownNumber(rev.number)}{rev.name ? `: ${rev.name}` : ''}</option
        >
      {/each}
    </select>
  </label>
{/snippet}

<form class="grid gap-4 px-4 pt-4 md:px-6 xl:grid-cols-2" onsubmit={compare}>
  <fieldset class="grid min-w-0 content-start gap-3">
    <legend class="font-bold">First</legend>
    {@render revision('plan', one, (to) => (chosen = to))}
    <ConditionsLine asked={first}>
      <ConditionsForm asked={first} />
      <Otherwise asked={first} />
    </ConditionsLine>
  </fieldset>
  <fieldset class="grid min-w-0 content-start gap-3">
    <legend class="font-bold">Second, from the same day and as long</legend>
    {@render revision('plan', other, (to) => (other = to))}
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
  <section
    class="grid gap-x-8 gap-y-4 px-4 py-4 md:px-6 xl:grid-cols-2"
    aria-label="What changed, and what it did"
  >
    <div>
      <h2>What changed</h2>
      <ul class="mt-1 list-disc pl-5">
        {#each done.comparison.changed as says (says)}<li>{says}</li>{:else}
          <li>Nothing in the plan; the weather, the battery’s age or the load may differ.</li>{/each}
      </ul>
    </div>
    <div>
      <h2>What it did</h2>
      <ul class="mt-1 list-disc pl-5">
        {#each done.comparison.did.slice(0, MOST_TOLD) as says (says)}<li>{says}</li>{:else}
          <li>Nothing that counts: all figures are as before, nearly.</li>{/each}
      </ul>
      {#if done.comparison.did.length > MOST_TOLD}
        <p class="text-sm text-soft">and {done.comparison.did.length - MOST_TOLD} more, in bold below</p>
      {/if}
    </div>
  </section>
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
      <select class="{FIELD} no-print order-1 max-w-64" aria-label="levels of" bind:value={of}>
        {#each plan.program.outputs as one (one.id)}<option value={one.id}>levels of {one.name}</option
          >{/each}
      </select>
    {/snippet}
  </RunTape>
  <section class="overflow-x-auto px-4 pt-4 pb-8 md:px-6" aria-labelledby="figures">
    <h2 id="figures">Figures</h2>
    <table class="mt-2 w-full max-w-4xl">
      <thead class="text-sm text-soft">
        <tr>
          <th class="py-1 text-left font-normal">figure</th>
          {#each ['first', 'second', 'difference'] as head (head)}<th class="py-1 pl-4 text-right font-normal"
              >{head}</th
            >{/each}
        </tr>
      </thead>
      <tbody>
        {#each done.comparison.figures as figure (figure.what)}
          {@const differs = Math.abs(figure.after - figure.before) >= figure.tellFrom}
          <tr class="border-t border-rule {differs ? 'font-bold' : ''}">
            <th scope="row" class="py-1 text-left {differs ? '' : 'font-normal'}">{figure.what}</th>
            {#each [figure.before, figure.after, figure.after - figure.before] as value, i (i)}
              <td class="number py-1 pl-4 text-right"
                >{i === 2 && value > 0 ? '+' : ''}{fixed(value, figure.unit === 'V' ? 2 : 1)}
                {figure.unit}</td
              >
            {/each}
          </tr>
        {/each}
      </tbody>
    </table>
  </section>
{:else if !work.running}
  <p class="px-4 py-4 text-soft md:px-6">
    Two runs on the same axes, their differences in figures, lanes and sentences.
  </p>
{/if}
