<script lang="ts">
  import type { Peg, Plan } from '../lib/api/api';
  import { day, fixed, instant, minute } from '../lib/sentence/quantity';
  import Action from '../lib/shell/Action.svelte';
  import Trouble from '../lib/shell/Trouble.svelte';
  import { recordedAt } from '../lib/tape/recorded';
  import type { Line } from '../lib/tape/plot';
  import { runOf } from '../season/run.svelte';
  import Chart from '../lib/tape/Chart.svelte';
  import DaysTable from './DaysTable.svelte';
  import { besideSimulated, type Recorded } from './recorded.svelte';
  import SinceFigures from './SinceFigures.svelte';
  import { verdict } from './verdict';

  /** What happened since: what was recorded, read day by day, and what to do about it. */
  interface Props {
    recorded: Recorded;
    plan: Plan;
    levels: Peg[];
    zone: string;
  }
  let { recorded, plan, levels, zone }: Props = $props();

  /** The longest season that is run of recorded days (d). */
  const LONGEST_SEASON = 366;
  const DAY = 86_400_000;
  const charts = import('./charts');

  const history = $derived(recorded.history?.history);
  const lines = $derived<Line[]>(
    levels
      // What keeps the battery from emptying; the names of all levels would lie over what was recorded.
      .filter((peg) => peg.unit === 'V' && peg.whose === 'OUTPUT' && peg.acts === 'FALLING' && peg.switches)
      .map((peg) => ({ value: peg.value, label: peg.term, percent: false, output: peg.at })),
  );
  const beside = $derived(
    history && recorded.simulated ? besideSimulated(history.days, recorded.simulated) : undefined,
  );

  let hovered = $state<number>();
  let hoveredDay = $state<number>();

  /** What was recorded where the cursor stands. */
  const there = $derived.by(() => {
    const trace = recorded.trace;
    if (!trace || hovered === undefined) return undefined;
    const volts = recordedAt(trace, Math.floor((hovered - trace.fromSeconds) / trace.bucketSeconds));
    return `${minute(hovered * 1000, zone)}: ${volts ?? 'nothing recorded'}`;
  });
  const dayThere = $derived.by(() => {
    const date = hoveredDay && instant(hoveredDay * 1000).slice(0, 10);
    const one = beside?.find((other) => other.date === date);
    if (!one) return undefined;
    const volts = (value: number | undefined) => (value === undefined ? '–' : `${fixed(value, 2)} V`);
    return `${day(one.date)}: recorded ${volts(one.lowestVolts)}, simulated ${volts(one.simulatedVolts)}`;
  });

  /** The season of the same days: what was recorded stands on its tape. */
  function season(days: { date: string }[]) {
    const first = days[0]?.date ?? '';
    const last = days[days.length - 1]?.date ?? '';
    const long = Math.round((Date.parse(last) - Date.parse(first)) / DAY) + 1;
    runOf(recorded.site).ask(first, Math.min(LONGEST_SEASON, long));
    location.hash = `#/site/${recorded.site}/season`;
  }

  $effect(() => {
    if (!recorded.history && !recorded.problem) void recorded.loadHistory();
  });
</script>

{#if !history || !recorded.trace}
  {#if !recorded.problem}<p class="p-6 text-soft" role="status">Reading what was recorded</p>
  {:else}<Trouble problem={recorded.problem} retry={() => recorded.loadHistory()} />{/if}
{:else}
  {@const trace = recorded.trace}
  <p class="px-4 pt-6 pb-3 text-3xl leading-9 font-bold md:px-6" role="status">{verdict(history)}</p>
  {#each recorded.history?.advice ?? [] as one (one.kind + one.says)}
    <p class="mx-4 mb-2 border-l-4 border-caution pl-3 text-lg md:mx-6">{one.says}</p>
  {/each}
  <div class="px-4 md:px-6">
    <Chart
      label="Lowest and highest battery voltage that was recorded"
      {zone}
      of={[trace, lines]}
      high={220}
      draw={async (host, common, high) => (await charts).recordedChart(host, trace, lines, high, common)}
      hover={(seconds) => (hovered = seconds)}
    />
    <p class="text-sm text-soft">
      {#if there}<span class="number mr-3 font-bold text-ink">{there}</span>{/if}
      battery voltage, V, as recorded, with what opens below in revision {recorded.history?.revision}
    </p>
  </div>
  <SinceFigures {history} {plan} />
  <section class="border-t border-rule px-4 py-4 md:px-6" aria-labelledby="beside">
    <h2 id="beside">Beside a simulated time</h2>
    {#if beside}
      <Chart
        label="Lowest battery voltage of each day, recorded and simulated"
        {zone}
        of={[beside, lines]}
        high={180}
        draw={async (host, common, high) => (await charts).besideChart(host, beside, lines, high, common)}
        hover={(seconds) => (hoveredDay = seconds)}
      />
      <p class="text-sm text-soft">
        {#if dayThere}<span class="number mr-3 font-bold text-ink">{dayThere}</span>{/if}
        lowest voltage of each day: recorded a thick line, simulated with the newest revision and one weather of
        the place a dashed one; simulated, no proof of safety
      </p>
    {/if}
    <p class="mt-2 flex flex-wrap items-center gap-3">
      {#if !beside}
        <Action disabled={recorded.busy !== ''} onclick={() => recorded.simulate()}
          >Simulate the same days</Action
        >
      {/if}
      <Action onclick={() => season(history.days)}>On the season’s tape</Action>
      {#if recorded.busy}<span class="text-soft" role="status">{recorded.busy}</span>{/if}
    </p>
  </section>
  <DaysTable days={history.days} />
{/if}
