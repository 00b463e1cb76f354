<script lang="ts">
  import { api, outcome, type Problem } from '../lib/api/client';
  import type { Measurement } from '../lib/api/api';
  import { measuredNumber } from '../lib/live/siteNow.svelte';
  import { minute } from '../lib/sentence/quantity';
  import { FIELD } from '../lib/shell/fieldLook';
  import Trouble from '../lib/shell/Trouble.svelte';
  import Chart from '../lib/tape/Chart.svelte';
  import type { Line } from '../lib/tape/plot';

  /** What a device has measured until now, with the levels of the plan. */
  interface Props {
    site: string;
    device: string;
    /** What the device is called. */
    called: string;
    zone: string;
    levels: Line[];
  }
  let { site, device, called, zone, levels }: Props = $props();

  const SPANS: [number, string][] = [
    [1, 'last hour'],
    [24, 'last day'],
    [744, 'last month'],
    [17_520, 'last two years'],
  ];
  const HIGH = 180;
  const ASKED_EVERY = 30_000;
  const chart = import('../lib/tape/measured');
  let open = $state(false);
  let hours = $state(24);
  let all = $state.raw<Measurement[]>();
  let problem = $state.raw<Problem>();
  let hovered = $state<number>();
  /** What was measured last before where the pointer is. */
  const pointed = $derived(
    hovered === undefined ? undefined : all?.findLast((one) => Date.parse(one.at) / 1000 <= (hovered ?? 0)),
  );

  async function load() {
    const answer = await outcome(
      api.GET('/api/sites/{siteId}/devices/{device}/measurements', {
        params: { path: { siteId: site, device }, query: { hours } },
      }),
    );
    all = answer.data ?? all;
    problem = answer.problem;
  }

  $effect(() => {
    if (!open) return;
    void load();
    const again = setInterval(load, ASKED_EVERY);
    return () => clearInterval(again);
  });
</script>

<details bind:open>
  <summary class="flex min-h-11 cursor-pointer items-center underline">What {called} has measured</summary>
  <div class="flex flex-wrap items-center gap-x-4 gap-y-1">
    <select class={FIELD} aria-label="how far back" bind:value={hours} onchange={load}>
      {#each SPANS as [value, word] (value)}<option {value}>{word}</option>{/each}
    </select>
    {#if pointed}
      <span class="number"
        >{minute(Date.parse(pointed.at), zone)}: {Object.entries(pointed.numbers)
          .map(([what, value]) => measuredNumber(what, value))
          .join(' · ')}</span
      >
    {:else if all}
      <span class="text-soft">battery voltage, V; kept every ten seconds, ever more thinly as it ages</span>
    {/if}
  </div>
  {#if problem}<Trouble {problem} retry={load} />{/if}
  {#if !all}
    {#if !problem}<p class="py-4 text-soft" role="status">Reading what was measured</p>{/if}
  {:else if all.length < 2}
    <p class="py-4">Hardly anything has been measured yet: it is asked every ten seconds.</p>
  {:else}
    <Chart
      label="Battery voltage that {called} has measured"
      {zone}
      of={[all, levels]}
      hover={(seconds) => (hovered = seconds)}
      high={HIGH}
      draw={async (host, common, high) => (await chart).measuredChart(host, all ?? [], levels, high, common)}
    />
  {/if}
</details>
