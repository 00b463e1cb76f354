<script lang="ts">
  import { onMount } from 'svelte';
  import { api, outcome, type Problem } from '../lib/api/client';
  import type { SiteInList } from '../lib/api/api';
  import Frame from '../lib/shell/Frame.svelte';
  import Trouble from '../lib/shell/Trouble.svelte';
  import Action from '../lib/shell/Action.svelte';
  import { session } from '../lib/shell/session.svelte';
  import { singleKeys } from '../lib/shell/singleKeys.svelte';
  import { SiteList, type SiteFilter } from './siteList.svelte';
  import SiteRow from './SiteRow.svelte';

  const list = new SiteList();
  let problem = $state<Problem>();
  let field = $state<HTMLInputElement>();
  let deleted = $state.raw<SiteInList>();
  const filters: [SiteFilter, string][] = [
    ['all', 'all'],
    ['findings', 'with danger or caution'],
    ['drafts', 'with unsaved changes'],
    ['unsent', 'not sent to devices'],
    ['drifted', 'drifted'],
    ['upkeep', 'with upkeep due'],
  ];
  const filterSays = $derived(filters.find(([key]) => key === list.filter)?.[1]);
  const sites = $derived(list.sites);

  async function setState(site: SiteInList, state: 'ACTIVE' | 'ARCHIVED' | 'DELETED') {
    const answer = await outcome(
      api.POST('/api/sites/{siteId}/state', { params: { path: { siteId: site.id } }, body: { state } }),
    );
    if (answer.data) deleted = state === 'DELETED' ? answer.data : undefined;
    await load();
    problem = answer.problem ?? problem;
  }

  async function setCare(site: SiteInList, benchTest: string, upkeep: string) {
    const answer = await outcome(
      api.POST('/api/sites/{siteId}/care', {
        params: { path: { siteId: site.id } },
        body: { ...(benchTest && { benchTest }), ...(upkeep && { upkeep }) },
      }),
    );
    await load();
    problem = answer.problem ?? problem;
  }

  async function copy(site: SiteInList, name: string): Promise<boolean> {
    const answer = await outcome(
      api.POST('/api/sites/{siteId}/copies', { params: { path: { siteId: site.id } }, body: { name } }),
    );
    await load();
    problem = answer.problem ?? problem;
    return answer.data !== undefined;
  }

  async function repair(site: SiteInList) {
    const answer = await outcome(
      api.POST('/api/sites/{siteId}/repair', { params: { path: { siteId: site.id } } }),
    );
    await load();
    problem = answer.problem ?? problem;
  }

  async function load() {
    problem = undefined;
    await list.load();
  }

  /** What is typed is looked for when a hand rests. */
  const RESTS = 250;
  let resting: ReturnType<typeof setTimeout> | undefined;
  function find(event: Event) {
    list.search = (event.currentTarget as HTMLInputElement).value;
    clearTimeout(resting);
    resting = setTimeout(load, RESTS);
  }

  /** What lies below is asked for when its end comes near. */
  function atEnd(end: HTMLElement) {
    const seen = new IntersectionObserver(
      ([entry]) => {
        if (entry?.isIntersecting) void list.more();
      },
      { rootMargin: '600px' },
    );
    seen.observe(end);
    return { destroy: () => seen.disconnect() };
  }

  function slash(event: KeyboardEvent) {
    if (
      event.key !== '/' ||
      !singleKeys.on ||
      (event.target as HTMLElement).matches('input, select, textarea')
    )
      return;
    event.preventDefault();
    field?.focus();
  }

  onMount(load);

  /** What is ahead of a site is worked out while nobody waits: where it is still missing it is asked for again, ever more seldom. */
  const FIRST_WAIT = 3000;
  const MOST_ASKED = 7;
  let asked = 0;
  $effect(() => {
    const isMissing = (sites ?? []).some((site) => site.plan && site.state === 'ACTIVE' && !site.ahead);
    if (!isMissing || asked >= MOST_ASKED) return;
    const timer = setTimeout(load, FIRST_WAIT * 1.6 ** asked++);
    return () => clearTimeout(timer);
  });
</script>

<svelte:window onkeydown={slash} />

<Frame title="Sites" place="sites">
  {#snippet header()}
    <label class="ml-auto flex items-center gap-2 text-sm">
      <span class="max-sm:sr-only">Search</span>
      <input
        bind:this={field}
        value={list.search}
        oninput={find}
        class="field w-56"
        type="search"
        placeholder="name of a site"
      />
    </label>
    <label class="flex items-center gap-2 text-sm">
      <span class="sr-only">Show</span>
      <select class="field" bind:value={list.filter} onchange={load}>
        {#each filters as [key, word] (key)}<option value={key}>{word}</option>{/each}
      </select>
    </label>
    {#if list.putAway > 0 || list.archived}
      <label class="flex min-h-11 items-center gap-2 text-sm"
        ><input type="checkbox" class="h-5 w-5" bind:checked={list.archived} onchange={load} />archived ({list.putAway})</label
      >
    {/if}
    {#if session.mayChange}
      <Action href="#/many">Change many</Action>
      <Action main href="#/new">New site</Action>
    {/if}
  {/snippet}

  {#if deleted}
    {@const gone = deleted}
    <div
      class="m-4 flex flex-wrap items-center gap-4 border-l-4 border-ink bg-raised p-3 md:m-6"
      role="status"
    >
      <p class="grow">{gone.name} is deleted.</p>
      <Action onclick={() => setState(gone, 'ACTIVE')}>Undo</Action>
    </div>
  {/if}
  {#if problem}<Trouble {problem} retry={load} />{/if}
  {#if list.problem}<Trouble problem={list.problem} retry={load} />{/if}
  {#if !sites}
    {#if !list.problem}<p class="p-6 text-soft" role="status">Reading the sites</p>{/if}
  {:else if sites.length === 0 && list.search === '' && list.filter === 'all'}
    {#if list.archived}
      <p class="p-6">Nothing is put away.</p>
    {:else}
      <p class="p-6">
        {list.putAway > 0 ? 'Every site is archived.' : 'No site yet.'}{#if session.mayChange}&nbsp;<a
            class="underline"
            href="#/new">Make {list.putAway > 0 ? 'another' : 'the first'}</a
          >{#if session.administers && list.putAway === 0}, or <a class="underline" href="#/accounts"
              >let the others in</a
            >{/if}.{/if}
      </p>
    {/if}
  {:else if sites.length === 0}
    <p class="p-6">
      No site {list.filter === 'all' ? '' : `${filterSays} `}{list.search
        ? `is called “${list.search}”`
        : 'is here'}.
      <button
        class="underline"
        onclick={() => {
          list.search = '';
          list.filter = 'all';
          void load();
        }}>Show all</button
      >
    </p>
  {:else}
    {#each [sites.filter((site) => site.rank > 0), sites.filter((site) => site.rank === 0)] as group, i (i)}
      {#if group.length > 0}
        <ul
          class="divide-y divide-rule {i === 0
            ? 'border-b-4 border-double border-rule-strong'
            : 'border-b border-rule'}"
          aria-label={i === 0 ? 'Sites that need somebody' : 'Sites that need nobody now'}
        >
          {#each group as site (site.id)}<SiteRow {site} {setState} {copy} {repair} {setCare} />{/each}
        </ul>
      {/if}
    {/each}
    {#if list.hasMore}
      {#key sites.length}
        <p class="flex items-center gap-4 p-6" use:atEnd>
          <span class="text-soft">{sites.length} of {list.total}</span>
          <Action onclick={() => list.more()}>Show more</Action>
        </p>
      {/key}
    {/if}
  {/if}
</Frame>
