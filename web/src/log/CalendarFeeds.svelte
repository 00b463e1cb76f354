<script lang="ts">
  import { api, outcome, type Problem } from '../lib/api/client';
  import type { CalendarFeed, MadeFeed } from '../lib/api/api';
  import { day } from '../lib/sentence/quantity';
  import Action from '../lib/shell/Action.svelte';
  import Said from '../lib/shell/Said.svelte';

  /** What is due in somebody's own calendar: an address that is a secret, told once. */
  let { site }: { site: string } = $props();

  let feeds = $state.raw<CalendarFeed[]>();
  let made = $state.raw<MadeFeed>();
  let problem = $state.raw<Problem>();

  async function load() {
    const answer = await outcome(api.GET('/api/account/calendar-feeds'));
    feeds = answer.data ?? feeds;
    problem = answer.problem;
  }

  async function make(of: string | undefined) {
    const answer = await outcome(
      api.POST('/api/account/calendar-feeds', { body: of === undefined ? {} : { site: of } }),
    );
    problem = answer.problem;
    made = answer.data;
    if (answer.data) await load();
  }

  async function withdraw(feed: CalendarFeed) {
    const answer = await outcome(
      api.DELETE('/api/account/calendar-feeds/{id}', { params: { path: { id: feed.id } } }),
    );
    problem = answer.problem;
    if (made?.feed.id === feed.id) made = undefined;
    await load();
  }
</script>

<details class="mt-4 border-t border-rule" ontoggle={(event) => event.currentTarget.open && void load()}>
  <summary class="opens flex min-h-11 cursor-pointer items-center font-bold">In a calendar</summary>
  <p class="text-sm text-soft">
    An address that a calendar program reads what is due from. Who has it reads that without signing in: it is
    told once, and can be withdrawn.
  </p>
  {#if made}
    <p class="mt-2 border-l-4 border-ink pl-3 text-sm break-all" role="status">
      <span class="number">{location.origin}{made.path}</span>
    </p>
  {/if}
  <ul>
    {#each feeds ?? [] as feed (feed.id)}
      <li class="flex items-center justify-between gap-3 border-t border-rule text-sm">
        <span>{feed.site ? `of ${feed.site}` : 'of all sites'}, made {day(feed.madeAt)}</span>
        <button
          type="button"
          class="min-h-11 underline"
          aria-label="withdraw the address {feed.site ? `of ${feed.site}` : 'of all sites'}"
          onclick={() => withdraw(feed)}>withdraw</button
        >
      </li>
    {/each}
  </ul>
  <p class="mt-2 flex flex-wrap gap-2">
    <Action onclick={() => make(site)}>Of this site</Action>
    <Action onclick={() => make(undefined)}>Of all sites</Action>
  </p>
  <Said {problem} />
</details>
