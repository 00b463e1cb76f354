<script lang="ts">
  import { untrack } from 'svelte';
  import { api, outcome, type Problem } from '../lib/api/client';
  import type { DailyFigure, DailyReplay, Plan } from '../lib/api/api';
  import { bytes, Looked } from '../lib/file/fileLook.svelte';
  import FileMapping from '../lib/file/FileMapping.svelte';
  import { capital, day, energy, fixed } from '../lib/sentence/quantity';
  import Action from '../lib/shell/Action.svelte';
  import Said from '../lib/shell/Said.svelte';
  import { partName } from '../lib/shell/parts';
  import { Kept } from '../lib/shell/kept';
  import Trouble from '../lib/shell/Trouble.svelte';
  import { figureOf, nextDay, troubleOf, type TypedDay } from './daily';
  import DayFields from './DayFields.svelte';

  /** Days as a device keeps them in its history: typed, pasted or brought as a file. */
  interface Props {
    site: string;
    plan: Plan;
    readonly: boolean;
    zone: string;
  }
  let { site, plan, readonly, zone }: Props = $props();

  let days = $state.raw<DailyFigure[]>();
  let reached = $state.raw<DailyReplay[]>([]);
  let problem = $state.raw<Problem>();
  let refused = $state.raw<Problem>();
  let busy = $state(false);
  const kept = $derived(new Kept<TypedDay[]>(`daily.${site}`));
  let typed = $state<TypedDay[]>(untrack(() => kept.read()) ?? []);
  const path = $derived({ siteId: site });
  const looked = $derived(new Looked(site, 'DAILY', zone));
  const today = new Date().toISOString().slice(0, 10);
  /** What is reached every day or never says nothing; what falls comes first. */
  const told = $derived(
    reached
      .filter((one) => one.days.length > 0 && one.days.length < (days?.length ?? 0))
      .toSorted((one, other) => Number(other.isFalling) - Number(one.isFalling)),
  );
  const wrong = $derived(typed.filter((one) => troubleOf(one) !== ''));
  const lowest = $derived((days ?? []).toSorted((one, other) => one.lowestVolts - other.lowestVolts)[0]);

  function put(next: TypedDay[]) {
    typed = next;
    kept.write(next);
  }

  async function load() {
    const [all, levels] = await Promise.all([
      outcome(api.GET('/api/sites/{siteId}/daily', { params: { path } })),
      outcome(api.GET('/api/reading/{siteId}/daily-replay', { params: { path } })),
    ]);
    problem = all.problem ?? levels.problem;
    days = all.data ?? days;
    reached = levels.data ?? reached;
  }

  async function save() {
    busy = true;
    const answer = await outcome(
      api.PUT('/api/sites/{siteId}/daily', { params: { path }, body: { days: typed.map(figureOf) } }),
    );
    busy = false;
    refused = answer.problem;
    if (!answer.data) return;
    put([]);
    await load();
  }

  async function remove(one: DailyFigure) {
    const answer = await outcome(
      api.DELETE('/api/sites/{siteId}/daily/{day}', { params: { path: { ...path, day: one.day } } }),
    );
    refused = answer.problem;
    if (!answer.data) return;
    // Taken away it can be typed again: its numbers stand ready.
    const text = (value: number | undefined) => (value === undefined ? '' : String(value));
    put([
      ...typed,
      {
        day: one.day,
        lowest: text(one.lowestVolts),
        highest: text(one.highestVolts),
        in: text(one.inWattHours),
        out: text(one.outWattHours),
      },
    ]);
    await load();
  }

  async function take(file: File, layout: string | undefined): Promise<Problem | undefined> {
    const answer = await outcome(
      api.POST('/api/sites/{siteId}/daily', { params: { path, query: { zone, layout } }, ...bytes(file) }),
    );
    if (answer.data) await load();
    return answer.problem;
  }

  async function paste(event: ClipboardEvent & { currentTarget: HTMLTextAreaElement }) {
    const text = event.clipboardData?.getData('text/plain') ?? '';
    event.preventDefault();
    if (text.trim() !== '') await looked.choose(new File([text], 'what was pasted'));
  }

  $effect(() => {
    void load();
  });
</script>

<div class="px-4 py-6 md:px-6">
  {#if problem}<Trouble {problem} retry={load} />{/if}
  <p class="text-3xl leading-9 font-bold" role="status">
    {!days
      ? 'Reading the days'
      : days.length === 0
        ? 'No day was written down yet.'
        : `${days.length} ${days.length === 1 ? 'day' : 'days'}, lowest ${fixed(lowest?.lowestVolts ?? 0, 2)} V on ${day(lowest?.day ?? today)}.`}
  </p>
  {#each told as one (one.output + one.term)}
    <p class="mt-1">
      {capital(partName(plan, one.output))}: {one.term}
      <span class="number">{fixed(one.volts, 2)} V</span> was reached on {one.days.length}
      {one.days.length === 1 ? 'day' : 'days'}, last {day(one.days.at(-1) ?? '')}
    </p>
  {/each}
  {#if told.length > 0}<p class="text-soft">For how long, daily figures cannot tell.</p>{/if}
  {#if !readonly}
    <form
      class="mt-4 grid gap-2"
      novalidate
      onsubmit={(event) => {
        event.preventDefault();
        void save();
      }}
    >
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
            put([
              ...typed,
              { day: nextDay(days ?? [], typed, today), lowest: '', highest: '', in: '', out: '' },
            ])}>{typed.length === 0 ? 'Type a day' : 'Next day'}</Action
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
    <div class="mt-2 flex flex-wrap items-center gap-x-6">
      <label class="flex items-center gap-2 text-sm text-soft"
        >or paste a table
        <textarea
          class="min-h-11 w-40 border border-rule-strong bg-raised px-2 py-2"
          rows="1"
          aria-label="paste a table of days here"
          onpaste={paste}></textarea></label
      >
    </div>
    <FileMapping {looked} {take} says="Bring a file of daily figures" />
  {/if}
  {#if days && days.length > 0}
    <div class="mt-4 overflow-x-auto">
      <table class="text-sm">
        <thead
          ><tr class="text-right text-soft"
            ><th class="pr-4 text-left font-normal">day</th><th class="pr-4 font-normal">lowest, V</th><th
              class="pr-4 font-normal">highest, V</th
            ><th class="pr-4 font-normal">from arrays</th><th class="pr-4 font-normal">to loads</th><th
            ></th></tr
          ></thead
        >
        <tbody>
          {#each [...days].reverse() as one (one.day)}
            <tr class="number border-t border-rule text-right">
              <td class="pr-4 text-left whitespace-nowrap">{day(one.day)}</td>
              <td class="pr-4">{fixed(one.lowestVolts, 2)}</td>
              <td class="pr-4">{one.highestVolts === undefined ? '–' : fixed(one.highestVolts, 2)}</td>
              <td class="pr-4">{one.inWattHours === undefined ? '–' : energy(one.inWattHours)}</td>
              <td class="pr-4">{one.outWattHours === undefined ? '–' : energy(one.outWattHours)}</td>
              <td
                >{#if !readonly}<button
                    type="button"
                    class="min-h-11 font-sans underline"
                    aria-label="take away {day(one.day)}"
                    onclick={() => remove(one)}>take away</button
                  >{/if}</td
              >
            </tr>
          {/each}
        </tbody>
      </table>
    </div>
  {/if}
</div>
