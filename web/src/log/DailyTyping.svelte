<script lang="ts">
  import { api, outcome, type Problem } from '../lib/api/client';
  import type { DailyFigure } from '../lib/api/api';
  import { day } from '../lib/sentence/quantity';
  import Action from '../lib/shell/Action.svelte';
  import Said from '../lib/shell/Said.svelte';
  import { figureOf, nextDay, troubleOf, type TypedDay } from './daily';
  import DayFields from './DayFields.svelte';

  /** Days that are being typed, kept until all of them are saved. */
  interface Props {
    site: string;
    /** The days that are written down already. */
    days: DailyFigure[] | undefined;
    typed: TypedDay[];
    put: (next: TypedDay[]) => void;
    today: string;
    saved: () => Promise<void>;
  }
  let { site, days, typed, put, today, saved }: Props = $props();

  let refused = $state.raw<Problem>();
  let busy = $state(false);
  const wrong = $derived(typed.filter((one) => troubleOf(one) !== ''));

  async function save(event: SubmitEvent) {
    event.preventDefault();
    busy = true;
    const answer = await outcome(
      api.PUT('/api/sites/{siteId}/daily', {
        params: { path: { siteId: site } },
        body: { days: typed.map(figureOf) },
      }),
    );
    busy = false;
    refused = answer.problem;
    if (!answer.data) return;
    put([]);
    await saved();
  }
</script>

<form class="mt-4 grid gap-2" novalidate onsubmit={save}>
  {#each typed as one, i (i)}
    <DayFields
      {one}
      change={(what) => put(typed.with(i, { ...one, ...what }))}
      remove={() => put(typed.toSpliced(i, 1))}
    />
  {/each}
  <div class="flex flex-wrap items-center gap-3">
    <Action
      onclick={() =>
        put([...typed, { day: nextDay(days ?? [], typed, today), lowest: '', highest: '', in: '', out: '' }])}
      >{typed.length === 0 ? 'Type a day' : 'Next day'}</Action
    >
    {#if typed.length > 0}
      <Action main type="submit" disabled={busy || wrong.length > 0}
        >Keep {typed.length} {typed.length === 1 ? 'day' : 'days'}</Action
      >
      {#if wrong[0]}<span class="text-soft">{day(wrong[0].day)}, {troubleOf(wrong[0])}</span>{/if}
    {/if}
    <Said problem={refused} />
  </div>
</form>
