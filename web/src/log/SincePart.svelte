<script lang="ts">
  import type { Peg, Plan } from '../lib/api/api';
  import { day, decimal, energy, fixed, instant, minute } from '../lib/sentence/quantity';
  import Action from '../lib/shell/Action.svelte';
  import { partName } from '../lib/shell/parts';
  import Trouble from '../lib/shell/Trouble.svelte';
  import { recordedAt } from '../lib/tape/recorded';
  import type { Line } from '../lib/tape/tape';
  import { runOf } from '../season/run.svelte';
  import Chart from '../lib/tape/Chart.svelte';
  import DaysTable from './DaysTable.svelte';
  import { besideSimulated, type Recorded } from './recorded.svelte';
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
      draw={async (host, common) => (await charts).recordedChart(host, trace, lines, 220, common)}
      hover={(seconds) => (hovered = seconds)}
    />
    <p class="text-sm text-soft">
      {#if there}<span class="number mr-3 font-bold text-ink">{there}</span>{/if}
      battery voltage, V, as recorded, with what opens below in revision {recorded.history?.revision}
    </p>
  </div>
  <dl class="grid gap-x-8 gap-y-4 px-4 py-5 md:grid-cols-2 md:px-6 lg:grid-cols-3">
    {#if history.nights}
      {@const nights = history.nights}
      <div>
        <dt class="text-soft">drawn by night</dt>
        <dd class="number text-2xl font-bold">{fixed(nights.watts, 0)} W</dd>
        {#if nights.crept}<dd>
            {nights.crept.afterWatts > nights.crept.beforeWatts ? 'rose' : 'fell'} from
            {fixed(nights.crept.beforeWatts, 0)} to {fixed(nights.crept.afterWatts, 0)} W on {day(
              nights.crept.since,
            )}
          </dd>{/if}
        {#if nights.beyond}<dd>
            {fixed(nights.beyond.measuredWatts - nights.beyond.plannedWatts, 0)} W beyond the plan’s loads of that
            hour{nights.beyond.explanations.length > 0
              ? `: ${nights.beyond.explanations.map((one) => one.join(' and ')).join(', or ')} would explain it`
              : ''}
          </dd>{/if}
      </div>
    {/if}
    {#if history.flat}
      {@const flat = history.flat}
      <div>
        <dt class="text-soft">arrays at one number</dt>
        <dd class="number text-2xl font-bold">{fixed(flat.watts, 0)} W</dd>
        <dd>
          {flat.spans}
          {flat.spans === 1 ? 'time' : 'times'}, {decimal(flat.hours, 1)} h in all, with more sun at hand:
          {flat.explainedBy ??
            `${decimal(flat.batteryAmperes, 1)} A at the battery, which no limit of the plan explains`}
        </dd>
      </div>
    {/if}
    {#if history.yield}
      {@const all = history.yield}
      <div>
        <dt class="text-soft">thrown away, reckoned</dt>
        <dd class="number text-2xl font-bold">{energy(all.thrownAwayWattHours)}</dd>
        <dd>
          of it a diversion load would have used
          {all.diversion.map((one) => `${one.watts} W: ${energy(one.wattHours)}`).join('; ')}
        </dd>
      </div>
    {/if}
    {#if history.use}
      <div>
        <dt class="text-soft">most used in one of {history.use.nights} nights</dt>
        <dd class="number text-2xl font-bold">{fixed(history.use.mostUsed * 100, 0)} %</dd>
        <dd>with 10 % in reserve a floor of {fixed(history.use.floor * 100, 0)} % leaves enough</dd>
      </div>
    {/if}
    {#each history.contacts as one (one.output)}
      <div>
        <dt class="text-soft">{partName(plan, one.output)}</dt>
        <dd class="number text-2xl font-bold">{one.closings} ×</dd>
        <dd>
          closed, {decimal(one.aDay, 1)} a day; open {decimal(one.openHours, 1)} h{one.unservedWattHours
            ? `, without ${energy(one.unservedWattHours)} that the plan’s loads use in that time`
            : ''}{one.yearsLeft === undefined
            ? ''
            : `; worn out in ${decimal(one.yearsLeft, 1)} years at this pace`}
        </dd>
      </div>
    {/each}
  </dl>
  <section class="border-t border-rule px-4 py-4 md:px-6" aria-labelledby="beside">
    <h2 id="beside">Beside a simulated time</h2>
    {#if beside}
      <Chart
        label="Lowest battery voltage of each day, recorded and simulated"
        {zone}
        of={[beside, lines]}
        draw={async (host, common) => (await charts).besideChart(host, beside, lines, 180, common)}
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
