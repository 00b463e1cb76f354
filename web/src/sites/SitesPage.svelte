<script lang="ts">
  import { onMount } from 'svelte';
  import { api, outcome, type Problem } from '../lib/api/client';
  import type { SiteInList } from '../lib/api/api';
  import { instant } from '../lib/sentence/quantity';
  import Frame from '../lib/shell/Frame.svelte';
  import Trouble from '../lib/shell/Trouble.svelte';
  import Action from '../lib/shell/Action.svelte';
  import { session } from '../lib/shell/session.svelte';
  import { singleKeys } from '../lib/shell/singleKeys.svelte';
  import { needOf } from './need';
  import SiteRow from './SiteRow.svelte';

  let sites = $state<SiteInList[]>();
  let problem = $state<Problem>();
  let search = $state('');
  let field = $state<HTMLInputElement>();
  let archived = $state(false);
  let deleted = $state.raw<SiteInList>();
  const inView = $derived((sites ?? []).filter((site) => (site.state === 'ARCHIVED') === archived));
  const putAway = $derived((sites ?? []).filter((site) => site.state === 'ARCHIVED').length);
  const filters: [string, string, (site: SiteInList) => boolean][] = [
    ['all', 'all', () => true],
    [
      'findings',
      'with danger or caution',
      ({ plan }) => Boolean(plan?.findings.DANGER ?? plan?.findings.CAUTION),
    ],
    ['drafts', 'with unsaved changes', ({ plan }) => (plan?.drafts.length ?? 0) > 0],
    ['unsent', 'not sent to devices', ({ plan }) => (plan?.unsent ?? 0) > 0],
    ['drifted', 'drifted', ({ plan }) => (plan?.drifted ?? 0) > 0],
    ['upkeep', 'with upkeep due', ({ upkeep }) => upkeep !== undefined && upkeep <= instant().slice(0, 10)],
  ];
  let filter = $state('all');
  const passes = $derived(filters.find(([key]) => key === filter)?.[2] ?? (() => true));
  const today = instant().slice(0, 10);
  /** What needs most stands first; what needs as much, by its name. */
  const shown = $derived(
    inView
      .filter((site) => passes(site) && site.name.toLowerCase().includes(search.trim().toLowerCase()))
      .sort((a, b) => needOf(b, today).rank - needOf(a, today).rank || a.name.localeCompare(b.name)),
  );

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
    const answer = await outcome(api.GET('/api/sites'));
    sites = answer.data ?? sites;
    problem = answer.problem;
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
        bind:value={search}
        class="field w-56"
        type="search"
        placeholder="name of a site"
      />
    </label>
    <label class="flex items-center gap-2 text-sm">
      <span class="sr-only">Show</span>
      <select class="field" bind:value={filter}>
        {#each filters as [key, word] (key)}<option value={key}>{word}</option>{/each}
      </select>
    </label>
    {#if putAway > 0 || archived}
      <label class="flex min-h-11 items-center gap-2 text-sm"
        ><input type="checkbox" class="h-5 w-5" bind:checked={archived} />archived ({putAway})</label
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
  {#if !sites}
    {#if !problem}<p class="p-6 text-soft" role="status">Reading the sites</p>{/if}
  {:else if sites.length === 0}
    <p class="p-6">
      No site yet.{#if session.mayChange}&nbsp;<a class="underline" href="#/new">Make the first</a
        >{#if session.administers}, or <a class="underline" href="#/accounts">let the others in</a>{/if}.{/if}
    </p>
  {:else if archived && inView.length === 0}
    <p class="p-6">Nothing is put away.</p>
  {:else if shown.length === 0}
    <p class="p-6">
      No site {filter === 'all' ? '' : `${filters.find(([key]) => key === filter)?.[1]} `}{search
        ? `is called “${search}”`
        : 'is here'}.
      <button
        class="underline"
        onclick={() => {
          search = '';
          filter = 'all';
        }}>Show all</button
      >
    </p>
  {:else}
    {@const some = shown.filter((site) => needOf(site, today).rank > 0)}
    {#each [some, shown.filter((site) => !some.includes(site))] as group, i (i)}
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
  {/if}
</Frame>
