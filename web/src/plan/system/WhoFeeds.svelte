<script lang="ts">
  import type { Reading } from '../../lib/api/api';
  import { minute } from '../../lib/sentence/quantity';
  import { lanePath } from '../../lib/tape/lanes';
  import { bucketAt } from '../../lib/tape/readout';
  import { cursorOf } from '../../lib/tape/cursor.svelte';
  import type { Season } from '../../season/season.svelte';
  import { mostOf, shareOfAll, standingAt } from './standing';

  /** Who feeds and who charges as one table; the case that holds where the tape's cursor stands is lit, each says how long it holds. */
  interface Props {
    cases: Reading['acCases'];
    season: Season;
    zone: string;
  }
  let { cases, season, zone }: Props = $props();

  const FEEDS = {
    BATTERY: { says: 'battery feeds', look: 'text-battery' },
    SUN: { says: 'the sun feeds', look: 'text-sun' },
    AC: { says: 'AC feeds', look: 'text-ac' },
    SUN_AND_AC: { says: 'sun and AC feed', look: 'text-ac' },
  };
  const WIDE = 240;
  const TALL = 14;
  const FACTS = [
    ['acPresent', 'AC present', 'var(--ac)'],
    ['sunEnough', 'sun enough', 'var(--sun)'],
    ['aboveLevel', 'battery above', 'var(--battery)'],
  ] as const;

  const cursor = $derived(cursorOf(season.site));
  const answer = $derived(season.answer);
  const trace = $derived(answer?.view.trace);
  const spans = $derived(trace?.acPresent.length ?? 0);
  /** Where nobody has pointed yet, the middle of the days. */
  const at = $derived((trace && bucketAt(trace, cursor.at ?? -1)) ?? Math.floor(spans / 2));
  const stands = $derived(trace && standingAt(trace, at));
  const now = $derived(stands && mostOf(stands));
  const seconds = $derived(trace ? trace.fromSeconds + (at + 0.5) * trace.bucketSeconds : 0);
  const when = $derived(answer ? minute(Date.parse(answer.run.start) + seconds * 1000, zone) : '');
  const says = $derived(
    !stands
      ? ''
      : !now
        ? 'AC is away: the battery feeds and only the sun charges'
        : `AC is there, the sun is ${now.sun ? '' : 'not '}enough, the battery is ${now.above ? 'above its level' : 'below'}`,
  );
  const of = (sunEnough: boolean, batteryAbove: boolean) =>
    cases.find((one) => one.sunEnough === sunEnough && one.batteryAbove === batteryAbove);
  const share = (sun: boolean, above: boolean) =>
    trace && spans > 0 ? `${Math.round(100 * shareOfAll(trace, sun, above))} % of these days` : '';
</script>

<table class="mt-2 w-full border-collapse text-sm">
  <caption class="sr-only">Who feeds the loads and who charges while AC is present</caption>
  <thead>
    <tr class="text-left text-soft">
      <th class="pb-1 font-normal" scope="col">with AC present</th>
      <th class="pb-1 font-normal" scope="col">sun enough</th>
      <th class="pb-1 font-normal" scope="col">not enough</th>
    </tr>
  </thead>
  <tbody>
    {#each [true, false] as above (above)}
      <tr class="align-top">
        <th class="border-t border-rule py-1.5 pr-2 text-left font-normal text-soft" scope="row"
          >battery {above ? 'above its level' : 'below'}</th
        >
        {#each [true, false] as sun (sun)}
          {@const one = of(sun, above)}
          {@const isNow = now?.sun === sun && now.above === above}
          <td
            class="border-t border-l border-rule px-2 py-1.5 {isNow ? 'bg-raised outline-2 outline-ink' : ''}"
            aria-current={isNow ? 'true' : undefined}
          >
            {#if one}
              <strong class={FEEDS[one.feeds].look}>{FEEDS[one.feeds].says}</strong><br />{one.acCharges
                ? 'sun and AC charge'
                : 'only the sun charges'}
              <span class="block text-soft tabular-nums">{share(sun, above)}</span>
            {/if}
          </td>
        {/each}
      </tr>
    {/each}
  </tbody>
</table>
{#if trace && spans > 0}
  <div class="mt-2 grid grid-cols-[6rem_1fr] items-center text-sm">
    {#each FACTS as [fact, name, colour] (fact)}
      <span class="text-soft">{name}</span>
      <svg
        class="block h-5 w-full"
        viewBox="0 0 {WIDE} {TALL + 2}"
        preserveAspectRatio="none"
        aria-hidden="true"
      >
        <path d={lanePath(trace[fact], 0, WIDE, TALL)} fill={colour} />
        <path
          d="M{((at + 0.5) / spans) * WIDE} 0V{TALL + 2}"
          stroke="var(--ink)"
          stroke-width="2"
          vector-effect="non-scaling-stroke"
        />
      </svg>
    {/each}
    <label class="text-soft" for="ac-cursor">time</label>
    <input
      id="ac-cursor"
      class="min-h-11 w-full accent-ink"
      type="range"
      min="0"
      max={spans - 1}
      value={at}
      oninput={(event) =>
        (cursor.at = trace.fromSeconds + (event.currentTarget.valueAsNumber + 0.5) * trace.bucketSeconds)}
      aria-valuetext="{when}: {says}"
    />
  </div>
  <p class="text-sm"><span class="number font-bold">{when}</span>: {says}. Simulated.</p>
{/if}
