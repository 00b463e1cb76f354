<script lang="ts">
  import { onMount } from 'svelte';
  import { push } from 'svelte-spa-router';
  import { api } from '../lib/api/client';
  import type { Plan, Year } from '../lib/api/api';
  import { day, energy, fixed } from '../lib/sentence/quantity';
  import Action from '../lib/shell/Action.svelte';
  import { FIELD } from '../lib/shell/fieldLook';
  import type { SeasonRun } from './run.svelte';
  import WorkBar from './WorkBar.svelte';
  import YearsTable from './YearsTable.svelte';
  import { LongWork } from './work.svelte';

  /** The same plan in several years: how much one differs from another, and the worst fortnight of all. */
  let { plan, season }: { plan: Plan; season: SeasonRun } = $props();

  const work = $derived(new LongWork(season.site, 'years'));
  let count = $state(10);
  let first = $state(new Date().getFullYear());
  const years = $derived((work.running ? work.now?.yearsSoFar : work.done?.years?.years) ?? []);
  const worst = $derived(
    years
      .filter((year) => year.worst)
      .sort((a, b) => short(b) - short(a))
      .at(0),
  );
  const short = (year: Year) => (year.worst ? year.worst.wantedJoules - year.worst.arrayJoules : 0);
  onMount(() => void work.resume());

  function ask(event: SubmitEvent) {
    event.preventDefault();
    const run = {
      ...season.asked.inputs(plan),
      from: `${first}-01-01`,
      days: 365,
      weather: { place: season.asked.climate ? { climate: season.asked.climate } : {} },
    };
    void work.begin(() =>
      api.POST('/api/season/{siteId}/years', {
        params: { path: { siteId: season.site } },
        body: { run, count },
      }),
    );
  }

  function show(year: Year) {
    if (!year.worst) return;
    // The whole year is run and its fortnight shown, so that it is the very one: with what the weeks before left.
    const january = `${year.worst.from.slice(0, 4)}-01-01`;
    const from = year.worst.startSeconds;
    season.asked.from = january;
    season.asked.days = 365;
    season.asked.weather = 'PLACE';
    season.asked.weatherNumber = year.weatherNumber;
    season.spans.show({ from, to: from + 14 * 86_400 });
    void push(`/site/${season.site}/season/tape`);
  }
</script>

<form class="flex flex-wrap items-end gap-3 px-4 pt-4 text-sm md:px-6" onsubmit={ask}>
  <label class="flex flex-col"
    >years<input
      class="{FIELD} number w-24"
      type="number"
      min="2"
      max="30"
      required
      bind:value={count}
    /></label
  >
  <label class="flex flex-col"
    >sun of the year<input
      class="{FIELD} number w-28"
      type="number"
      min="2000"
      max="2099"
      required
      bind:value={first}
    /></label
  >
  <Action main type="submit">Run the years</Action>
  <div class="min-w-64 grow"><WorkBar {work} what="Running {count} years" /></div>
</form>
{#if years.length > 0}
  <section class="px-4 pt-5 pb-8 md:px-6" aria-label="Years">
    <YearsTable {years} />
    {#if worst?.worst}
      <div class="mt-5 border-t border-rule pt-4">
        <h2>The worst fortnight</h2>
        <p class="mt-1">
          From <span class="number">{day(worst.worst.from, 'UTC')}</span>, weather no.
          <span class="number">{worst.weatherNumber}</span>: the sun had
          <span class="number">{energy(worst.worst.arrayJoules / 3600)}</span>, loads wanted
          <span class="number">{energy(worst.worst.wantedJoules / 3600)}</span>; the battery came down to
          <span class="number">{fixed(worst.worst.lowestStateOfCharge * 100, 0)} %</span>.
        </p>
        <Action class="mt-3" onclick={() => worst && show(worst)}>Show it on the tape</Action>
      </div>
    {/if}
    <p class="mt-4 text-sm text-soft">
      Simulated, with weather drawn from the place’s months; no proof of safety.
    </p>
  </section>
{:else if !work.running}
  <p class="px-4 py-4 text-soft md:px-6">
    The plan in several years, with other circumstances as set at the tape: how much one year differs from
    another.
  </p>
{/if}
