<script lang="ts">
  import { untrack } from 'svelte';
  import Action from '../lib/shell/Action.svelte';
  import { api, outcome, type Problem } from '../lib/api/client';
  import type { NumberedEvent, Plan } from '../lib/api/api';
  import { FIELD } from '../lib/shell/fieldLook';
  import { partNames } from '../lib/shell/parts';
  import Trouble from '../lib/shell/Trouble.svelte';
  import { fixed, moment } from '../lib/sentence/quantity';
  import { happened, isGrave } from '../lib/tape/events';
  import Chain from './Chain.svelte';
  import type { SeasonRun } from './run.svelte';

  /** What happened in a run, page by page; each opens to how it came about. */
  let { season, plan }: { season: SeasonRun; plan: Plan } = $props();

  const PAGE = 100;
  let events = $state.raw<NumberedEvent[]>([]);
  let total = $state<number>();
  let subject = $state('');
  let problem = $state<Problem>();
  const id = $derived(season.done?.work.id);
  const zone = $derived(plan.site.location.timeZone);
  const start = $derived(Date.parse(season.done?.run?.start ?? ''));
  const names = $derived(partNames(plan));

  $effect(() => {
    void [id, subject];
    untrack(() => void load(true));
  });

  // Only the newest question counts.
  let turn = 0;
  async function load(anew: boolean) {
    if (!id) return;
    const asked = ++turn;
    const answer = await outcome(
      api.GET('/api/season/{siteId}/runs/{id}/events', {
        params: {
          path: { siteId: season.site, id },
          query: { subject, skip: anew ? 0 : events.length, most: PAGE },
        },
      }),
    );
    if (asked !== turn) return;
    problem = answer.problem;
    if (!answer.data) return;
    events = anew ? answer.data.events : [...events, ...answer.data.events];
    total = answer.data.total;
  }

  function look(mark: NumberedEvent) {
    if (season.picked === mark.index) {
      season.picked = undefined;
      return;
    }
    void season.pick(mark.index, mark.event.seconds);
  }
</script>

<section aria-labelledby="events">
  <div class="flex flex-wrap items-center gap-x-4">
    <h2 id="events" class="grow">What happened, and why</h2>
    <select class={FIELD} aria-label="Events of" bind:value={subject}>
      <option value="">of everything</option>
      {#each Object.entries(names) as [part, name] (part)}<option value={part}>of {name}</option>{/each}
    </select>
  </div>
  {#if problem}<Trouble {problem} retry={() => load(true)} />{/if}
  {#if total === 0}
    <p class="mt-2 text-soft">Nothing happened {subject ? `to ${names[subject]}` : ''} in this run.</p>
  {:else if total === undefined}
    <p class="mt-2 text-soft" role="status">Reading the events</p>
  {:else}
    <ol class="mt-2 max-h-[34rem] overflow-y-auto border-y border-rule">
      {#each events as mark (mark.index)}
        {@const event = mark.event}
        <li class="border-b border-rule last:border-0">
          <button
            class="grid w-full grid-cols-1 gap-x-4 px-1 py-2 text-left hover:bg-raised sm:grid-cols-[11.5rem_1fr]"
            aria-expanded={season.picked === mark.index}
            onclick={() => look(mark)}
          >
            <span class="number text-sm">{moment(start + event.seconds * 1000, zone)}</span>
            <span>
              <span class={isGrave(event.kind) ? 'font-bold text-danger' : 'font-bold'}
                >{names[event.subject] ?? 'Bus'} {happened(event.kind)}</span
              >
              <span class="block text-sm text-soft">
                {event.reason}; battery <span class="number">{fixed(event.batteryVolts, 2)} V</span>, true
                state of charge
                <span class="number">{fixed(event.stateOfCharge * 100, 1)} %</span>
              </span>
            </span>
          </button>
          {#if season.picked === mark.index && season.chain}
            <Chain chain={season.chain} {names} {zone} {start} comes />
          {/if}
        </li>
      {/each}
    </ol>
    {#if events.length < (total ?? 0)}
      <Action class="mt-2" onclick={() => load(false)}>Show more of {total}</Action>
    {/if}
  {/if}
</section>
