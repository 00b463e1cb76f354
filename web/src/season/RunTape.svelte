<script lang="ts">
  import { untrack, type Snippet } from 'svelte';
  import type { NumberedEvent, Plan, RunSummary } from '../lib/api/api';
  import { minute } from '../lib/sentence/quantity';
  import { countsOf } from '../lib/tape/lanes';
  import HeldLanes from '../lib/tape/HeldLanes.svelte';
  import Lanes from '../lib/tape/Lanes.svelte';
  import Marks from '../lib/tape/Marks.svelte';
  import { bucketAt } from '../lib/tape/readout';
  import type { SiteNow } from '../lib/live/siteNow.svelte';
  import Trouble from '../lib/shell/Trouble.svelte';
  import { partNames } from '../lib/shell/parts';
  import type { Line } from '../lib/tape/plot';
  import type { RecordedBeside } from './beside.svelte';
  import InThese from './InThese.svelte';
  import type { RunWindow, SeasonRun } from './run.svelte';
  import type { Beside } from './secondRun.svelte';
  import Simulated from './Simulated.svelte';
  import type { Spans } from './spans.svelte';
  import TapeGroup from './TapeGroup.svelte';
  import ZoomBar from './ZoomBar.svelte';

  /** The tape in full: of one run, or of two on the same axes. */
  interface Props {
    /** Id of the work whose run is shown. */
    id: string;
    run: RunSummary;
    plan: Plan;
    spans: Spans;
    looked: RunWindow;
    lines: Line[];
    /** Another run on the same axes. */
    second?: Beside | undefined;
    picked?: number | undefined;
    pick?: SeasonRun['pick'];
    /** What else can be chosen beside the zoom. */
    beside?: Snippet;
    /** What is measured at the site: it stands at the right end. */
    live?: SiteNow;
    /** What was recorded at the site. */
    recorded?: RecordedBeside;
  }
  let { id, run, plan, spans, looked, lines, second, picked, pick, beside, live, recorded }: Props = $props();

  const tape = import('../lib/tape/Tape.svelte');
  let width = $state(0);
  let hovered = $state<number>();
  const zone = $derived(plan.site.location.timeZone);
  const names = $derived(partNames(plan));
  const view = $derived(looked.view);
  const other = $derived(second?.window.view);
  const from = $derived(view?.trace.fromSeconds ?? 0);
  const to = $derived(
    view ? Math.round((from + view.trace.bucketSeconds * view.trace.usedWatts.length) * 1000) / 1000 : 0,
  );
  const start = $derived(Date.parse(run.start));
  const secondCounts = $derived(
    second &&
      (spans.chosen
        ? countsOf(second.window.marks, second.window.total)
        : Object.fromEntries(second.run.outputs.map((one) => [one.output, one.switchings]))),
  );

  $effect(() => {
    // What is chosen may belong to a longer run that is still going on.
    const { from, to } = spans.chosen ?? { from: 0, to: run.durationSeconds };
    const buckets = width - 80;
    const [of, beside] = [id, second];
    if (buckets > 0 && from < run.durationSeconds) {
      untrack(() => {
        void looked.look(of, from, to, buckets);
        void beside?.window.look(beside.id, from, to, buckets);
      });
    }
  });

  $effect(() => {
    const [trace, begin] = [view?.trace, start];
    if (trace) untrack(() => void recorded?.look(begin, trace));
  });
</script>

<section id="tape" class="px-2 md:px-4" aria-label="Tape" bind:clientWidth={width}>
  <div class="flex flex-wrap items-center gap-2 px-2">
    {@render beside?.()}
    <ZoomBar {spans} hovered={hovered === undefined ? undefined : minute(start + hovered * 1000, zone)} />
  </div>
  {#if spans.chosen && view}
    <InThese {from} {to} trace={view.trace} second={other?.trace} name={second?.name} />
  {/if}
  {#if looked.problem}<Trouble problem={looked.problem} />{/if}
  {#if view}
    <TapeGroup {spans} took={looked.took} run={looked.of} {from} {to}>
      {#await tape then { default: Tape }}
        <Tape
          shown={{ trace: view.trace, start: start / 1000, recorded: recorded?.beside(view.trace) }}
          second={other && second && { trace: other.trace, name: second.name }}
          now={live?.volts}
          {lines}
          {zone}
          choose={(a, z) => spans.show({ from: a, to: z })}
          {hovered}
          hover={(seconds) => (hovered = seconds)}
        />
      {/await}
      {#if pick}
        <Marks
          marks={looked.marks}
          total={looked.total}
          {names}
          {from}
          {to}
          {picked}
          pick={(mark: NumberedEvent) => void pick(mark.index)}
        />
      {/if}
      <HeldLanes
        held={view.held}
        {names}
        at={hovered === undefined ? undefined : bucketAt(view.trace, hovered)}
      />
      <Lanes
        outputs={run.outputs}
        lanes={view.lanes}
        second={other && second && { lanes: other.lanes, name: second.name, counts: secondCounts }}
        part={spans.chosen !== undefined}
        counts={spans.chosen && countsOf(looked.marks, looked.total)}
        {names}
        at={hovered === undefined ? undefined : bucketAt(view.trace, hovered)}
        signalling={plan.program.outputs.filter((one) => one.loads.length === 0).map((one) => one.id)}
      />
    </TapeGroup>
    <Simulated {run} />
  {:else if !looked.problem}
    <div class="h-[560px] p-2 text-soft" role="status">Drawing the tape</div>
  {/if}
</section>
