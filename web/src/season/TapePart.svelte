<script lang="ts">
  import { onMount, untrack } from 'svelte';
  import type { Plan } from '../lib/api/api';
  import Action from '../lib/shell/Action.svelte';
  import { SiteNow } from '../lib/live/siteNow.svelte';
  import { partNames } from '../lib/shell/parts';
  import type { PlanEditor } from '../plan/planEditor.svelte';
  import { RecordedBeside } from './beside.svelte';
  import Chain from './Chain.svelte';
  import EventList from './EventList.svelte';
  import Exports from './Exports.svelte';
  import LevelsOf from './LevelsOf.svelte';
  import { ALL, bothLines, linesOf } from './lines';
  import RunTape from './RunTape.svelte';
  import type { SeasonRun } from './run.svelte';
  import SeasonConditions from './SeasonConditions.svelte';
  import RunParts from './RunParts.svelte';
  import { secondOf } from './secondRun.svelte';
  import StripAbove from './StripAbove.svelte';
  import Verdict from './Verdict.svelte';
  import WhatDiffers from './WhatDiffers.svelte';
  import With from './With.svelte';
  import WorkBar from './WorkBar.svelte';

  let { editor, plan, season }: { editor: PlanEditor; plan: Plan; season: SeasonRun } = $props();

  const WAIT = 250;
  /** So much of the tape is shown around an instant of the verdict (s). */
  const AROUND = 6 * 3600;
  const done = $derived(season.done);
  const run = $derived(done?.run);
  const names = $derived(Object.fromEntries(plan.program.outputs.map((one) => [one.id, one.name])));
  let chosen = $state<string>();
  const withLevels = $derived(
    plan.program.outputs.filter((one) => run?.levels.some((level) => level.output === one.id)),
  );
  const of = $derived(chosen ?? withLevels[0]?.id);
  const second = $derived(secondOf(season.site));
  const other = $derived(second.besideOf(done?.work.id));
  const own = $derived(linesOf(run?.levels ?? [], names, of));
  const lines = $derived(
    other ? bothLines(own, linesOf(other.run.levels, names, of), other.short, of !== ALL) : own,
  );
  const days = $derived(season.work.running ? (season.work.now?.days ?? []) : (run?.days ?? []));
  const zone = $derived(plan.site.location.timeZone);
  let ready = $state(false);
  const live = $derived(new SiteNow(season.site));
  $effect(() => live.follow());
  const recorded = $derived(new RecordedBeside(season.site));

  onMount(async () => {
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
  <SeasonConditions {editor} {plan} {season} />
  <With {plan} {season} {second} />
  <!-- It lies over what is shown until it is done, so that nothing moves. -->
  <div class="pointer-events-none relative z-10 h-0 w-full">
    <div class="absolute right-0 w-full bg-paper md:w-[28rem]">
      <WorkBar work={season.work} what="Running the days" retry={() => season.run(plan)} />
      {#if second.chosen !== undefined}
        <WorkBar
          work={second.work}
          what="Running {second.name} beside it"
          retry={() => second.run(plan, season.asked, done?.work.id ?? '')}
        />
      {/if}
    </div>
  </div>
</div>
{#if done && run}
  {#if other}
    <WhatDiffers comparison={other.comparison} name={other.name} />
  {:else}
    <Verdict {run} {zone} show={(seconds) => season.visit(seconds, AROUND)} />
  {/if}
  <div class="grid grid-cols-1 xl:grid-cols-[minmax(0,1fr)_22rem]">
    <div class="min-w-0">
      <RunTape
        id={done.work.id}
        {run}
        {plan}
        spans={season.spans}
        looked={season.looked}
        {lines}
        second={other}
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
  <StripAbove trace={season.looked.view?.trace} start={Date.parse(run?.start ?? '')} {zone} />
  <RunParts
    {editor}
    {plan}
    {season}
    {run}
    {days}
    beside={other}
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
