<script lang="ts">
  import { onMount, untrack } from 'svelte';
  import { api, outcome } from '../lib/api/client';
  import type { Plan, WeatherFileAbout } from '../lib/api/api';
  import Action from '../lib/shell/Action.svelte';
  import { SiteNow } from '../lib/live/siteNow.svelte';
  import { partNames } from '../lib/shell/parts';
  import type { PlanEditor } from '../plan/planEditor.svelte';
  import { RecordedBeside } from './beside.svelte';
  import ByHandPart from './ByHandPart.svelte';
  import Chain from './Chain.svelte';
  import ConditionsForm from './ConditionsForm.svelte';
  import ConditionsLine from './ConditionsLine.svelte';
  import EventList from './EventList.svelte';
  import Exports from './Exports.svelte';
  import LevelsOf from './LevelsOf.svelte';
  import { linesOf } from './lines';
  import Months from './Months.svelte';
  import Otherwise from './Otherwise.svelte';
  import RunTape from './RunTape.svelte';
  import type { SeasonRun } from './run.svelte';
  import RunParts from './RunParts.svelte';
  import Verdict from './Verdict.svelte';
  import WeatherFiles from './WeatherFiles.svelte';
  import WorkBar from './WorkBar.svelte';

  let { editor, plan, season }: { editor: PlanEditor; plan: Plan; season: SeasonRun } = $props();

  const WAIT = 250;
  /** So much of the tape is shown around an instant of the verdict (s). */
  const AROUND = 6 * 3600;
  const asked = $derived(season.asked);
  const done = $derived(season.done);
  const run = $derived(done?.run);
  const names = $derived(Object.fromEntries(plan.program.outputs.map((one) => [one.id, one.name])));
  let files = $state.raw<WeatherFileAbout[]>([]);
  let chosen = $state<string>();
  const withLevels = $derived(
    plan.program.outputs.filter((one) => run?.levels.some((level) => level.output === one.id)),
  );
  const of = $derived(chosen ?? withLevels[0]?.id);
  const lines = $derived(linesOf(run?.levels ?? [], names, of));
  const days = $derived(season.work.running ? (season.work.now?.days ?? []) : (run?.days ?? []));
  const zone = $derived(plan.site.location.timeZone);
  let ready = $state(false);
  const live = $derived(new SiteNow(season.site));
  $effect(() => live.follow());
  const recorded = $derived(new RecordedBeside(season.site));

  onMount(async () => {
    const answer = await outcome(
      api.GET('/api/sites/{siteId}/weather-files', { params: { path: { siteId: season.site } } }),
    );
    files = answer.data ?? [];
    await recorded.load();
    await season.resume(() => (ready = true));
    ready = true;
  });

  // Whatever is asked for is run, a moment after the last change.
  $effect(() => {
    const begun = season.isBegun(plan);
    if (!ready || begun) return;
    const soon = setTimeout(() => untrack(() => void season.run(plan)), WAIT);
    return () => clearTimeout(soon);
  });
</script>

<div class="flex flex-wrap items-start gap-x-6 px-4 pt-2 md:px-6">
  <ConditionsLine {asked} {files}>
    <ConditionsForm {asked} {files} moved={() => season.spans.show(undefined)} />
    <Otherwise {asked} />
    {#if editor.reading?.requests.length}
      <ByHandPart {asked} {plan} requests={editor.reading.requests} />
    {/if}
    {#if asked.weather === 'PLACE'}
      <Months {asked} site={season.site} latitude={plan.site.location.latitudeDegrees} />
    {/if}
    <WeatherFiles
      site={season.site}
      zone={plan.site.location.timeZone}
      taken={(file) => {
        files = [file, ...files.filter((one) => one.id !== file.id)];
        asked.weather = file.id;
      }}
    />
  </ConditionsLine>
  <div class="w-full md:w-96">
    <WorkBar work={season.work} what="Running the days" retry={() => season.run(plan)} />
  </div>
</div>
{#if done && run}
  <Verdict {run} {zone} show={(seconds) => season.visit(seconds, AROUND)} />
  <div class="grid grid-cols-1 xl:grid-cols-[minmax(0,1fr)_22rem]">
    <div class="min-w-0">
      <RunTape
        id={done.work.id}
        {run}
        {plan}
        spans={season.spans}
        looked={season.looked}
        {lines}
        picked={season.picked}
        pick={season.pick.bind(season)}
        {live}
        {recorded}
      >
        {#snippet beside()}
          {#if withLevels.length > 0}
            <LevelsOf outputs={withLevels} {of} choose={(id) => (chosen = id)} orAll />
          {/if}
        {/snippet}
      </RunTape>
      {#if season.picked !== undefined && season.chain}
        <section class="px-4 md:px-6" aria-labelledby="picked">
          <div class="flex items-center gap-4">
            <h2 id="picked">How it came about</h2>
            <Action onclick={() => (season.picked = undefined)}>Close</Action>
          </div>
          <Chain chain={season.chain} names={partNames(plan)} {zone} start={Date.parse(run.start)} />
        </section>
      {/if}
      <Exports {season} {plan} {lines} />
    </div>
    <div class="flex flex-col border-rule px-4 pb-4 xl:border-l">
      <EventList {season} {plan} />
    </div>
  </div>
{:else if !season.work.problem && season.work.now?.work.state !== 'CANCELLED'}
  <div class="h-[720px] p-6 text-soft" role="status">Running the season</div>
{/if}
{#if run || days.length > 0}
  <RunParts
    {editor}
    {plan}
    {run}
    {days}
    isPart={season.spans.chosen !== undefined}
    choose={(day) => {
      // A day that the clocks change on has 23 or 25 hours.
      const days = run?.days ?? [];
      season.spans.show({
        from: days[day]?.startSeconds ?? 0,
        to: days[day + 1]?.startSeconds ?? run?.durationSeconds ?? 0,
      });
      document.getElementById('tape')?.scrollIntoView({ block: 'start' });
    }}
  />
{/if}
