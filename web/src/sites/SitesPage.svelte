<script lang="ts">
  import { onMount } from 'svelte';
  import Frame from '../lib/shell/Frame.svelte';
  import Trouble from '../lib/shell/Trouble.svelte';
  import Action from '../lib/shell/Action.svelte';
  import { session } from '../lib/shell/session.svelte';
  import { singleKeys } from '../lib/shell/singleKeys.svelte';
  import { SiteList, type SiteFilter } from './siteList.svelte';
  import NoSites from './NoSites.svelte';
  import { ActsOnSites } from './siteActs.svelte';
  import SiteRows from './SiteRows.svelte';

  const list = new SiteList();
  const acts = new ActsOnSites(list);
  let field = $state<HTMLInputElement>();
  const filters: [SiteFilter, string][] = [
    ['all', 'all'],
    ['findings', 'with danger or caution'],
    ['drafts', 'with unsaved changes'],
    ['unsent', 'not sent to devices'],
    ['drifted', 'drifted'],
    ['upkeep', 'with upkeep due'],
  ];
  const sites = $derived(list.sites);

  async function load() {
    acts.problem = undefined;
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

  {#if acts.deleted}
    {@const gone = acts.deleted}
    <div
      class="m-4 flex flex-wrap items-center gap-4 border-l-4 border-ink bg-raised p-3 md:m-6"
      role="status"
    >
      <p class="grow">{gone.name} is deleted.</p>
      <Action onclick={() => acts.setState(gone, 'ACTIVE')}>Undo</Action>
    </div>
  {/if}
  {#if acts.taking}<p class="border-b border-rule px-4 py-3 md:px-6" role="status">
      {acts.taking} <a class="ml-2 underline" href="#/along">What is taken along</a>
    </p>{/if}
  {#if acts.problem}<Trouble problem={acts.problem} retry={load} />{/if}
  {#if list.problem}<Trouble problem={list.problem} retry={load} />{/if}
  {#if !sites}
    {#if !list.problem}<p class="p-6 text-soft" role="status">Reading the sites</p>{/if}
  {:else if sites.length === 0}
    <NoSites {list} {load} filterSays={filters.find(([key]) => key === list.filter)?.[1]} />
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
