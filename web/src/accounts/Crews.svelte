<script lang="ts">
  import { onMount } from 'svelte';
  import { api, outcome, type Problem } from '../lib/api/client';
  import type { AccountInList, Crew, Named } from '../lib/api/api';
  import Action from '../lib/shell/Action.svelte';
  import CrewForm, { type EditedCrew } from './CrewForm.svelte';
  import Said from '../lib/shell/Said.svelte';
  import Trouble from '../lib/shell/Trouble.svelte';

  let crews = $state.raw<Crew[]>();
  let accounts = $state.raw<AccountInList[]>([]);
  let sites = $state.raw<Named[]>([]);
  let edited = $state.raw<EditedCrew>();
  let dissolving = $state.raw<Crew>();
  let problem = $state.raw<Problem>();
  let refused = $state.raw<Problem>();

  const nameOf = (account: string) => accounts.find((one) => one.name === account)?.fullName ?? account;
  const siteOf = (id: string) => sites.find((one) => one.id === id)?.name ?? id;

  async function load() {
    const [all, people, places] = await Promise.all([
      outcome(api.GET('/api/crews')),
      outcome(api.GET('/api/accounts')),
      outcome(api.GET('/api/sites/names')),
    ]);
    crews = all.data ?? crews;
    accounts = people.data ?? accounts;
    sites = places.data ?? sites;
    problem = all.problem ?? people.problem ?? places.problem;
  }

  async function dissolve(crew: Crew) {
    const answer = await outcome(api.DELETE('/api/crews/{crew}', { params: { path: { crew: crew.id } } }));
    refused = answer.problem;
    crews = answer.data ?? crews;
    dissolving = undefined;
  }

  onMount(load);
</script>

{#if problem}<Trouble {problem} retry={load} />{/if}
<p class="mb-4 max-w-2xl text-soft">
  A site that is in no crew is for everybody, as far as their role goes. One that is in a crew is there only
  for its people, and for administrators.
</p>
{#if edited}
  <CrewForm
    begin={edited}
    {accounts}
    {sites}
    done={(all) => {
      edited = undefined;
      if (all) crews = all;
      else void load();
    }}
  />
{:else if !crews}
  {#if !problem}<p class="text-soft" role="status">Reading the crews</p>{/if}
{:else}
  <Said problem={refused} />
  {#if crews.length === 0}
    <p class="mb-3">No crew yet: everybody sees every site.</p>
  {:else}
    <ul class="mb-4 divide-y divide-rule border-y border-rule">
      {#each crews as crew (crew.id)}
        <li class="flex flex-wrap items-center gap-x-4 gap-y-1 py-2">
          <div class="min-w-60 grow">
            <b>{crew.name}</b>
            <p>
              {crew.members.map((one) => nameOf(one.account) + (one.changes ? '' : ' (sees)')).join(', ') ||
                'nobody: only administrators see its sites'}
            </p>
            <p class="text-soft">{crew.sites.map(siteOf).join(', ') || 'no site yet'}</p>
          </div>
          {#if dissolving === crew}
            <p role="alert">
              {crew.sites.length === 0 ? 'It has no sites.' : 'Its sites are for everybody then.'}
            </p>
            <Action onclick={() => dissolve(crew)}>Dissolve it</Action>
            <Action onclick={() => (dissolving = undefined)}>Keep it</Action>
          {:else}
            <button class="min-h-11 underline" aria-label="Change {crew.name}" onclick={() => (edited = crew)}
              >Change</button
            >
            <button
              class="min-h-11 underline"
              aria-label="Dissolve {crew.name}"
              onclick={() => (dissolving = crew)}>Dissolve…</button
            >
          {/if}
        </li>
      {/each}
    </ul>
  {/if}
  <Action main onclick={() => (edited = { name: '', version: 0, members: [], sites: [] })}>New crew</Action>
{/if}
