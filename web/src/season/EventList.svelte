<script lang="ts">
  import { untrack } from 'svelte';
  import Action from '../lib/shell/Action.svelte';
  import { api, outcome, type Problem } from '../lib/api/client';
  import type { NumberedEvent, Plan } from '../lib/api/api';
  import { FIELD } from '../lib/shell/fieldLook';
  import { partNames } from '../lib/shell/parts';
  import Trouble from '../lib/shell/Trouble.svelte';
  import { minute } from '../lib/sentence/quantity';
  import { happened, isGrave } from '../lib/tape/events';
  import EventRow from './EventRow.svelte';
  import { folded } from './folded';
  import type { SeasonRun } from './run.svelte';

  /** What happened in the span that is shown, what repeats folded; each opens to how it came about. */
  let { season, plan }: { season: SeasonRun; plan: Plan } = $props();

  const PAGE = 500;
  let events = $state.raw<NumberedEvent[]>([]);
  let total = $state<number>();
  let subject = $state('');
  let problem = $state<Problem>();
  let unfolded = $state<string>();
  let span = $state.raw(untrack(() => season.spans.chosen));
  const id = $derived(season.done?.work.id);
  const zone = $derived(plan.site.location.timeZone);
  const start = $derived(Date.parse(season.done?.run?.start ?? ''));
  const names = $derived(partNames(plan));
  /** Who asks for one part's events wants to see each. */
  const folds = $derived(
    subject ? events.map((one) => ({ key: String(one.index), events: [one] })) : folded(events),
  );

  // Looking into an event brings the tape close to it; the list stays that of the span it was found in.
  $effect(() => {
    const chosen = season.spans.chosen;
    if (untrack(() => season.picked) === undefined) span = chosen;
  });
  $effect(() => {
    void [id, subject, span];
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
          query: { subject, ...span, skip: anew ? 0 : events.length, most: PAGE },
        },
      }),
    );
    if (asked !== turn) return;
    problem = answer.problem;
    if (!answer.data) return;
    events = anew ? answer.data.events : [...events, ...answer.data.events];
    total = answer.data.total;
  }

  const says = ({ event }: NumberedEvent) => `${names[event.subject] ?? 'Bus'} ${happened(event.kind)}`;
  const at = (mark: NumberedEvent | undefined) => minute(start + (mark?.event.seconds ?? 0) * 1000, zone);
</script>

<section aria-labelledby="events" class="flex grow flex-col">
  <div class="flex flex-wrap items-center gap-x-4">
    <h2 id="events" class="grow">Events</h2>
    <select class="{FIELD} max-w-44" aria-label="Events of" bind:value={subject}>
      <option value="">of everything</option>
      {#each Object.entries(names) as [part, name] (part)}<option value={part}>of {name}</option>{/each}
    </select>
  </div>
  {#if problem}<Trouble {problem} retry={() => load(true)} />{/if}
  {#if total === 0}
    <p class="mt-2 text-soft">
      Nothing happened {subject ? `to ${names[subject]}` : ''} in {span ? 'what is shown' : 'this run'}.
    </p>
  {:else if total === undefined}
    {#if !problem}<p class="mt-2 text-soft" role="status">Reading the events</p>{/if}
  {:else}
    <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
    <ol
      class="mt-2 max-h-[34rem] grow overflow-y-auto border-t border-rule xl:max-h-none xl:basis-0"
      tabindex="0"
      aria-label="Events, oldest first"
    >
      {#each folds as fold (fold.key)}
        <li class="border-b border-rule last:border-0">
          {#if fold.events.length > 1}
            {@const open = unfolded === fold.key}
            <button
              class="block w-full px-1 py-2 text-left hover:bg-raised"
              aria-expanded={open}
              onclick={() => (unfolded = open ? undefined : fold.key)}
            >
              <span class="number block text-sm text-soft"
                >{at(fold.events[0])} to {at(fold.events.at(-1))}</span
              >
              <span class="number">{fold.events.length} ×</span>
              <span
                class={fold.events[0] && isGrave(fold.events[0].event.kind)
                  ? 'font-bold text-danger'
                  : 'font-bold'}>{fold.events[0] && says(fold.events[0])}</span
              >
              <span class="block truncate text-sm text-soft">first: {fold.events[0]?.event.reason}</span>
            </button>
            {#if open}
              <ol class="ml-3 border-l-2 border-rule pl-2">
                {#each fold.events as mark (mark.index)}<li>
                    <EventRow {season} {mark} {names} {zone} {start} />
                  </li>{/each}
              </ol>
            {/if}
          {:else if fold.events[0]}
            <EventRow {season} mark={fold.events[0]} {names} {zone} {start} />
          {/if}
        </li>
      {/each}
    </ol>
    {#if events.length < (total ?? 0)}
      <Action class="mt-2" onclick={() => load(false)}>Show more of {total}</Action>
    {/if}
  {/if}
</section>
