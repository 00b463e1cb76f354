<script lang="ts">
  import { onMount } from 'svelte';
  import { api, outcome, type Problem } from '../lib/api/client';
  import type { SiteInList } from '../lib/api/api';
  import Frame from '../lib/shell/Frame.svelte';
  import Trouble from '../lib/shell/Trouble.svelte';
  import SiteRow from './SiteRow.svelte';

  let sites = $state<SiteInList[]>();
  let problem = $state<Problem>();
  let search = $state('');
  let field = $state<HTMLInputElement>();
  const shown = $derived(
    (sites ?? []).filter((site) => site.name.toLowerCase().includes(search.trim().toLowerCase())),
  );

  async function load() {
    problem = undefined;
    const answer = await outcome(api.GET('/api/sites'));
    sites = answer.data;
    problem = answer.problem;
  }

  function slash(event: KeyboardEvent) {
    if (event.key !== '/' || (event.target as HTMLElement).matches('input, select, textarea')) return;
    event.preventDefault();
    field?.focus();
  }

  onMount(load);
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
  {/snippet}

  {#if problem}
    <Trouble {problem} retry={load} />
  {:else if !sites}
    <p class="p-6 text-soft" role="status">Reading the sites</p>
  {:else if sites.length === 0}
    <p class="p-6">No site yet. Start Sparen with its demo data to have three to try.</p>
  {:else if shown.length === 0}
    <p class="p-6">
      No site is called “{search}”. <button class="underline" onclick={() => (search = '')}>Show all</button>
    </p>
  {:else}
    <ul class="divide-y divide-rule border-b border-rule">
      {#each shown as site (site.id)}<SiteRow {site} />{/each}
    </ul>
  {/if}
</Frame>
