<script lang="ts">
  import { onMount, untrack } from 'svelte';
  import { api } from '../lib/api/client';
  import type { Plan } from '../lib/api/api';
  import { daysLater, dayWritten } from '../lib/sentence/days';
  import { energy } from '../lib/sentence/quantity';
  import Action from '../lib/shell/Action.svelte';
  import DateField from '../lib/shell/DateField.svelte';
  import { FIELD } from '../lib/shell/fieldLook';
  import { session } from '../lib/shell/session.svelte';
  import type { PlanEditor } from '../plan/planEditor.svelte';
  import Fan from './Fan.svelte';
  import Lowest from './Lowest.svelte';
  import { Conditions } from './conditions.svelte';
  import type { SeasonRun } from './run.svelte';
  import WorkBar from './WorkBar.svelte';
  import { LongWork } from './work.svelte';

  /** From today to the next visit, in many weathers: chances of a cut, and the one setting that would help most. */
  let { editor, plan, season }: { editor: PlanEditor; plan: Plan; season: SeasonRun } = $props();

  const DAY_MILLIS = 86_400_000;
  const today = new Date().toISOString().slice(0, 10);
  const asked = new Conditions();
  const work = $derived(new LongWork(season.site, 'absence'));
  let back = $state(new Date(Date.now() + 28 * DAY_MILLIS).toISOString().slice(0, 10));
  let runs = $state(40);
  let spread = $state(10);
  let taken = $state(false);
  asked.from = today;
  asked.weather = 'PLACE';
  asked.startPercent = Math.round(untrack(() => plan.site.battery.startStateOfCharge) * 100);
  const days = $derived(Math.round((Date.parse(back) - Date.parse(asked.from)) / DAY_MILLIS));
  const trouble = $derived(
    days < 1
      ? 'The visit is to be after the first day.'
      : days > 400
        ? 'No further than 400 days ahead.'
        : '',
  );
  const answer = $derived(work.done?.absence);
  /** Of the answer that is shown, whatever is asked for by now. */
  const from = $derived(work.done?.request?.from ?? asked.from);
  /** The answer as it would be said. */
  const sentence = $derived.by(() => {
    if (!answer) return '';
    if (answer.chances.length === 0) return 'No load is marked critical; mark one in Plan, System.';
    const cut = answer.chances.filter((one) => one.cuts > 0);
    if (cut.length === 0) {
      const what = answer.chances.length === 1 ? name(answer.chances[0]?.load ?? '') : 'Every critical load';
      return `${what} stays on in all ${answer.runs} weathers.`;
    }
    const first = Math.min(...answer.courses.map((one) => one.cutOnDay ?? Infinity));
    const since = Number.isFinite(first) ? `, at the earliest on ${dayWritten(daysLater(from, first))}` : '';
    const many = cut.map((one) => `${name(one.load)} is cut in ${one.cuts} of ${answer.runs}`).join(', ');
    return `${many} weathers${since}.`;
  });
  const name = (id: string) => plan.site.loads.find((one) => one.id === id)?.name ?? id;
  const percent = (share: number) => `${Math.round(share * 100)} %`;

  onMount(() => void work.resume());

  function ask(event: SubmitEvent) {
    event.preventDefault();
    if (trouble) return;
    taken = false;
    asked.days = days;
    asked.climate = season.asked.climate;
    const body = { run: asked.inputs(plan), question: { runs, seed: 1, loadSpread: spread / 100 } };
    void work.begin(() =>
      api.POST('/api/season/{siteId}/absences', { params: { path: { siteId: season.site } }, body }),
    );
  }

  function take() {
    const help = answer?.help;
    if (!help) return;
    editor.set(['program'], help.plan.program, () => help.says);
    taken = true;
  }
</script>

<form class="flex flex-wrap items-end gap-3 px-4 pt-4 text-sm md:px-6" onsubmit={ask}>
  <DateField label="from" required value={asked.from} change={(day) => (asked.from = day)} />
  <label class="flex flex-col"
    >with, % of charge<input
      class="{FIELD} number w-28"
      type="number"
      min="0"
      max="100"
      required
      bind:value={asked.startPercent}
    /></label
  >
  <DateField label="until I am back on" required value={back} change={(day) => (back = day)} />
  <label class="flex flex-col"
    >weathers<input
      class="{FIELD} number w-24"
      type="number"
      min="4"
      max="400"
      required
      bind:value={runs}
    /></label
  >
  <label class="flex flex-col"
    >consumption varies by ± %<input
      class="{FIELD} number w-28"
      type="number"
      min="0"
      max="50"
      required
      bind:value={spread}
    /></label
  >
  <Action main type="submit" disabled={trouble !== ''}>Ask</Action>
  {#if trouble}<p class="text-danger" role="alert">{trouble}</p>{/if}
  <div class="min-w-64 grow">
    <WorkBar {work} what="Running {runs} weathers of {days} days, then settings" />
  </div>
</form>
{#if answer}
  <section class="px-4 pt-5 pb-8 md:px-6" aria-label="What came of it">
    <p
      class="max-w-4xl text-[1.375rem] leading-8 font-bold text-balance md:text-[1.875rem] md:leading-10 {answer.cuts >
      0
        ? 'text-danger'
        : ''}"
    >
      {sentence}
    </p>
    <Fan courses={answer.courses} {from} />
    {#each answer.chances as chance (chance.load)}
      <p class="mt-2">
        {name(chance.load)}:
        {#if chance.cuts === 0}not cut in <span class="number">{answer.runs}</span> weathers{:else}cut in
          <span class="number">{chance.cuts}</span> of <span class="number">{answer.runs}</span>, lacking
          <span class="number">{energy(chance.meanUnservedJoules / 3600)}</span> on the mean{/if}; the chance
        is between <span class="number">{percent(chance.low)}</span> and
        <span class="number">{percent(chance.high)}</span>.
      </p>
    {/each}
    {#if answer.help}
      <div class="mt-4 border-l-4 border-battery pl-4">
        <h2>What would help most</h2>
        <p class="mt-1 text-lg">{answer.help.says}</p>
        <p class="mt-1 text-soft">
          Then a critical load is cut in <span class="number">{answer.help.cuts}</span> of
          <span class="number">{answer.runs}</span> weathers instead of
          <span class="number">{answer.cuts}</span>, and lacks
          <span class="number">{energy(answer.help.unservedJoules / 3600)}</span> instead of
          <span class="number">{energy(answer.unservedJoules / 3600)}</span> on the mean.
          {answer.tried === 1 ? 'One setting was' : `${answer.tried} settings were`} tried; lights that come on
          in the dark are left alone.
        </p>
        {#if session.mayChangeAt(season.site)}
          <Action class="mt-3" disabled={taken} onclick={take}
            >{taken ? 'It is in the plan; undo takes it back' : 'Put it into the plan'}</Action
          >
        {/if}
      </div>
    {:else if answer.cuts > 0}
      <p class="mt-4 border-l-4 border-caution pl-4">
        {answer.tried === 0
          ? 'No single setting keeps it on: there is none to try here.'
          : `No single setting keeps it on: ${answer.tried === 1 ? 'the one that was tried leaves' : `each of the ${answer.tried} that were tried leaves`} as many weathers with a cut. It wants more charge, less load or an earlier visit.`}
      </p>
    {/if}
    <h2 class="mt-6">Lowest state of charge in each weather</h2>
    <Lowest charges={answer.lowestCharges} />
    <p class="text-sm text-soft">
      Simulated, with weathers drawn from the place’s months; a chance is a share of them, with the 90 %
      interval of Wilson. No promise, and no proof of safety.
    </p>
  </section>
{:else if !work.running}
  <p class="px-4 py-4 text-soft md:px-6">
    Says for each critical load how often it is cut before the next visit, and which one setting would help
    most.
  </p>
{/if}
