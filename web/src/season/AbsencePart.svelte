<script lang="ts">
  import { onMount, untrack } from 'svelte';
  import { api } from '../lib/api/client';
  import type { Plan } from '../lib/api/api';
  import Action from '../lib/shell/Action.svelte';
  import DateField from '../lib/shell/DateField.svelte';
  import { FIELD } from '../lib/shell/fieldLook';
  import { session } from '../lib/shell/session.svelte';
  import type { PlanEditor } from '../plan/planEditor.svelte';
  import AbsenceAnswer from './AbsenceAnswer.svelte';
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

  onMount(() => void work.resume());

  function ask(event: SubmitEvent) {
    event.preventDefault();
    if (trouble) return;
    taken = false;
    asked.days = days;
    asked.climate = season.asked.climate;
    const body = { run: asked.inputs(plan), question: { runs, weatherNumber: 1, loadSpread: spread / 100 } };
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
  <AbsenceAnswer {answer} {from} {plan} {taken} take={session.mayChangeAt(season.site) ? take : undefined} />
{:else if !work.running}
  <p class="px-4 py-4 text-soft md:px-6">
    Says for each critical load how often it is cut before the next visit, and which one setting would help
    most.
  </p>
{/if}
