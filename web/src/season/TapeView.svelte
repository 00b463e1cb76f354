<script lang="ts">
  import { untrack } from 'svelte';
  import { lit } from '../lib/gauge/lit.svelte';
  import { minute } from '../lib/sentence/quantity';
  import { countsIn } from '../lib/tape/lanes';
  import HeldLanes from '../lib/tape/HeldLanes.svelte';
  import Lanes from '../lib/tape/Lanes.svelte';
  import { bucketAt } from '../lib/tape/readout';
  import { cursorOf } from '../lib/tape/cursor.svelte';
  import { partNames } from '../lib/shell/parts';
  import type { SiteNow } from '../lib/live/siteNow.svelte';
  import Trouble from '../lib/shell/Trouble.svelte';
  import type { PlanEditor } from '../plan/planEditor.svelte';
  import ConditionsForm from './ConditionsForm.svelte';
  import ConditionsLine from './ConditionsLine.svelte';
  import { linesOf } from './lines';
  import Simulated from './Simulated.svelte';
  import type { Season } from './season.svelte';
  import TapeGroup from './TapeGroup.svelte';
  import ZoomBar from './ZoomBar.svelte';

  /** The small tape beside a plan that is edited: it follows every change. */
  interface Props {
    editor: PlanEditor;
    season: Season;
    /** The output whose thresholds are drawn. */
    output?: string;
    /** What is measured at the site: it stands at the right end. */
    live?: SiteNow;
  }
  let { editor, season, output, live }: Props = $props();

  // The charting library comes only when a tape is shown.
  const tape = import('../lib/tape/Tape.svelte');
  let width = $state(0);
  let hovered = $state<number>();
  const plan = $derived(editor.plan);
  const answer = $derived(season.answer);
  const zone = $derived(plan?.site.location.timeZone ?? 'UTC');
  const names = $derived(plan ? partNames(plan) : {});
  const lines = $derived(linesOf(answer?.run.levels ?? [], names, output));

  const bright = $derived.by(() => {
    const peg = editor.reading?.gauge.pegs.find((one) => one.path === lit.path);
    return peg && { output: peg.at, value: peg.value, percent: peg.unit === '%' };
  });

  $effect(() => {
    const { from, weather, weatherNumber, meanCelsius } = season.asked;
    void [from, season.days, weather, weatherNumber, meanCelsius, season.spans.chosen];
    const now = plan;
    const buckets = width;
    if (now && buckets > 0) untrack(() => season.run(now, buckets - 80));
  });
</script>

<section id="tape" class="px-2 pt-3 md:px-4" aria-label="Tape" bind:clientWidth={width}>
  <div class="px-2">
    <ConditionsLine asked={season.asked}>
      <ConditionsForm asked={season.asked} mostDays={30} moved={() => season.spans.show(undefined)} />
    </ConditionsLine>
    <ZoomBar
      spans={season.spans}
      hovered={answer && hovered !== undefined
        ? minute(Date.parse(answer.run.start) + hovered * 1000, zone)
        : undefined}
    />
  </div>
  {#if season.problem}<Trouble
      problem={season.problem}
      retry={() => plan && season.run(plan, width - 80)}
    />{/if}
  {#if answer}
    <TapeGroup spans={season.spans} took={season.took}>
      {#await tape then { default: Tape }}
        <Tape
          shown={{ trace: answer.view.trace, start: Date.parse(answer.run.start) / 1000 }}
          {lines}
          {zone}
          compact
          {bright}
          now={live?.volts}
          choose={(from, to) => season.spans.show({ from, to })}
          {hovered}
          hover={(seconds) => {
            hovered = seconds;
            if (seconds !== undefined) cursorOf(season.site).at = seconds;
          }}
        />
      {/await}
      <HeldLanes
        held={answer.view.held}
        {names}
        at={hovered === undefined ? undefined : bucketAt(answer.view.trace, hovered)}
      />
      <Lanes
        outputs={answer.run.outputs}
        lanes={answer.view.lanes}
        {...season.spans.chosen
          ? { counts: countsIn(answer.outputs, season.spans.chosen.from, season.spans.chosen.to) }
          : {}}
        {names}
        at={hovered === undefined ? undefined : bucketAt(answer.view.trace, hovered)}
        signalling={(plan?.program.outputs ?? [])
          .filter((one) => one.loads.length === 0)
          .map((one) => one.id)}
      />
    </TapeGroup>
    <Simulated run={answer.run} />
  {:else if !season.problem}
    <div class="h-[430px] p-2 text-soft" role="status">Running the season</div>
  {/if}
</section>
