<script lang="ts">
  import { onMount } from 'svelte';
  import { api, outcome, type Outcome, type Problem } from '../lib/api/client';
  import type { SiteInList } from '../lib/api/api';
  import Frame from '../lib/shell/Frame.svelte';
  import Trouble from '../lib/shell/Trouble.svelte';
  import Action from '../lib/shell/Action.svelte';
  import { session } from '../lib/shell/session.svelte';
  import { singleKeys } from '../lib/shell/singleKeys.svelte';
  import { SiteList, type SiteFilter } from './siteList.svelte';
  import type { SiteActs } from './SiteRow.svelte';
  import SiteRows from './SiteRows.svelte';

  const list = new SiteList();
  let problem = $state<Problem>();
  let field = $state<HTMLInputElement>();
  /** How far a site is that is being taken along, or that it is. */
  let taking = $state('');
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

  /** Shows what came of an act: the site as it is now, or why it is as it was. */
  function seen(answer: Outcome<SiteInList>): boolean {
    problem = answer.problem;
    if (answer.data) list.changed(answer.data);
    return answer.data !== undefined;
  }

  const acts: SiteActs = {
    async setState(site, state) {
      const params = { path: { siteId: site.id } };
      const wasArchived = site.state === 'ARCHIVED';
      const answer = await outcome(api.POST('/api/sites/{siteId}/state', { params, body: { state } }));
      if (!seen(answer)) return;
      deleted = state === 'DELETED' ? answer.data : undefined;
      list.putAway += Number(state === 'ARCHIVED') - Number(wasArchived);
    },
    async setCare(site, benchTest, upkeep) {
      const params = { path: { siteId: site.id } };
      const body = { ...(benchTest && { benchTest }), ...(upkeep && { upkeep }) };
      seen(await outcome(api.POST('/api/sites/{siteId}/care', { params, body })));
    },
    async copy(site, name) {
      const params = { path: { siteId: site.id } };
      return seen(await outcome(api.POST('/api/sites/{siteId}/copies', { params, body: { name } })));
    },
    async takeAlong(site) {
      const { takeAlong } = await import('../along/takeAlong');
      const failed = await takeAlong(site, (says) => (taking = says));
      problem = failed;
    },
    async repair(site) {
      seen(await outcome(api.POST('/api/sites/{siteId}/repair', { params: { path: { siteId: site.id } } })));
    },
  };

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
    // Who has gone further down is left there.
    if (!isMissing || list.isFurtherDown || asked >= MOST_ASKED) return;
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
      <Action onclick={() => acts.setState(gone, 'ACTIVE')}>Undo</Action>
    </div>
  {/if}
  {#if taking}<p class="border-b border-rule px-4 py-3 md:px-6" role="status">
      {taking} <a class="ml-2 underline" href="#/along">What is taken along</a>
    </p>{/if}
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
    {@const needy = sites.filter((site) => site.rank > 0)}
    {@const calm = sites.filter((site) => site.rank === 0)}
    {#if needy.length > 0}
      <SiteRows sites={needy} label="Sites that need somebody" {acts} />
      <div class="border-b-4 border-double border-rule-strong"></div>
    {/if}
    {#if calm.length > 0}
      <SiteRows sites={calm} label="Sites that need nobody now" {acts} />
      <div class="border-b border-rule"></div>
    {/if}
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
