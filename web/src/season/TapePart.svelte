<script lang="ts">
  import { onMount, untrack } from 'svelte';
  import { api, outcome } from '../lib/api/client';
  import type { Plan, WeatherFileAbout } from '../lib/api/api';
  import Action from '../lib/shell/Action.svelte';
  import { FIELD } from '../lib/shell/fieldLook';
  import { partName, partNames } from '../lib/shell/parts';
  import FindingLine from '../plan/FindingLine.svelte';
  import type { PlanEditor } from '../plan/planEditor.svelte';
  import Worked from '../plan/Worked.svelte';
  import Calendar from './Calendar.svelte';
  import Chain from './Chain.svelte';
  import ConditionsForm from './ConditionsForm.svelte';
  import EventList from './EventList.svelte';
  import Exports from './Exports.svelte';
  import LedgerTable from './LedgerTable.svelte';
  import { ALL, linesOf } from './lines';
  import Months from './Months.svelte';
  import Otherwise from './Otherwise.svelte';
  import RunTape from './RunTape.svelte';
  import type { SeasonRun } from './run.svelte';
  import Service from './Service.svelte';
  import WeatherFiles from './WeatherFiles.svelte';
  import WorkBar from './WorkBar.svelte';

  let { editor, plan, season }: { editor: PlanEditor; plan: Plan; season: SeasonRun } = $props();

  const WAIT = 250;
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
  let ready = $state(false);

  onMount(async () => {
    const answer = await outcome(
      api.GET('/api/sites/{siteId}/weather-files', { params: { path: { siteId: season.site } } }),
    );
    files = answer.data ?? [];
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

<div class="flex flex-wrap items-end gap-x-4 gap-y-2 px-4 pt-3 md:px-6">
  <ConditionsForm {asked} {files} moved={() => season.spans.show(undefined)} />
  {#if withLevels.length > 0}
    <label class="no-print flex flex-col text-sm">
      thresholds of
      <select class={FIELD} value={of} onchange={(event) => (chosen = event.currentTarget.value)}>
        {#each withLevels as one (one.id)}<option value={one.id}>{one.name}</option>{/each}
        <option value={ALL}>all outputs</option>
      </select>
    </label>
  {/if}
</div>
<div class="relative">
  <details class="no-print px-4 md:px-6">
    <summary class="opens flex min-h-11 cursor-pointer items-center text-sm"
      >Other weather, an aged battery, more load{asked.differs || asked.climate ? ' (changed)' : ''}</summary
    >
    <div class="grid gap-4 pb-3">
      <Otherwise {asked} />
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
    </div>
  </details>
  <div class="px-4 md:pointer-events-none md:absolute md:top-0 md:right-4 md:w-1/2">
    <WorkBar work={season.work} what="Running the days" retry={() => season.run(plan)} />
  </div>
</div>
{#if done && run}
  <RunTape
    id={done.work.id}
    {run}
    {plan}
    spans={season.spans}
    looked={season.looked}
    {lines}
    picked={season.picked}
    pick={season.pick.bind(season)}
  />
  {#if season.picked !== undefined && season.chain}
    <section class="px-4 md:px-6" aria-labelledby="picked">
      <div class="flex items-center gap-4">
        <h2 id="picked">How it came about</h2>
        <Action onclick={() => (season.picked = undefined)}>Close</Action>
      </div>
      <Chain
        chain={season.chain}
        names={partNames(plan)}
        zone={plan.site.location.timeZone}
        start={Date.parse(run.start)}
      />
    </section>
  {/if}
  <Exports {season} {plan} {lines} />
{:else if !season.work.problem && season.work.now?.work.state !== 'CANCELLED'}
  <div class="h-[560px] p-6 text-soft" role="status">Running the season</div>
{/if}
{#if days.length > 13}
  <div class="px-4 py-4 md:px-6">
    <Calendar
      {days}
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
  </div>
{/if}
{#if run}
  <div
    class="grid grid-cols-1 gap-x-8 border-t border-rule px-4 py-5 md:px-6 xl:grid-cols-[minmax(0,1.4fr)_minmax(22rem,1fr)]"
  >
    {#if run.findings.length > 0}
      <section class="mb-6 xl:col-span-2" aria-labelledby="shown">
        <h2 id="shown">What the run shows</h2>
        {#each run.findings as finding, i (i)}
          <FindingLine {finding} at={partName(plan, finding.at)} />
        {/each}
      </section>
    {/if}
    {#if run.floor}
      <section class="mb-6 xl:col-span-2" aria-label="Worked out from the run">
        <Worked {editor} workings={[run.floor]} readonly />
      </section>
    {/if}
    <div>
      <EventList {season} {plan} />
      <div class="mt-6"><Service {run} {plan} /></div>
    </div>
    <LedgerTable {run} {plan} />
  </div>
{/if}
