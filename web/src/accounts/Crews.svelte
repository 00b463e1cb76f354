<script lang="ts">
  import { onMount } from 'svelte';
  import { api, outcome, type Problem } from '../lib/api/client';
  import type { AccountInList, Crew, Member, Named } from '../lib/api/api';
  import Action from '../lib/shell/Action.svelte';
  import { FIELD } from '../lib/shell/fieldLook';
  import Said from '../lib/shell/Said.svelte';
  import Trouble from '../lib/shell/Trouble.svelte';

  /** A crew that is worked on; no id for a new one. */
  interface Edited {
    id?: string;
    name: string;
    version: number;
    members: Member[];
    sites: string[];
  }

  let crews = $state.raw<Crew[]>();
  let accounts = $state.raw<AccountInList[]>([]);
  let sites = $state.raw<Named[]>([]);
  let edited = $state.raw<Edited>();
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

  async function save(event: SubmitEvent) {
    event.preventDefault();
    if (!edited) return;
    const { id, ...crew } = edited;
    const body = { ...crew, name: crew.name.trim() };
    const answer = await outcome(
      id
        ? api.PUT('/api/crews/{crew}', { params: { path: { crew: id } }, body })
        : api.POST('/api/crews', { body }),
    );
    refused = answer.problem;
    if (!answer.data) return;
    crews = answer.data;
    edited = undefined;
  }

  async function dissolve(crew: Crew) {
    const answer = await outcome(api.DELETE('/api/crews/{crew}', { params: { path: { crew: crew.id } } }));
    refused = answer.problem;
    crews = answer.data ?? crews;
    dissolving = undefined;
  }

  /** In the crew or not; who is in may change, or only see. */
  function put(account: string, standing: 'out' | 'sees' | 'changes') {
    if (!edited) return;
    const others = edited.members.filter((one) => one.account !== account);
    edited = {
      ...edited,
      members: standing === 'out' ? others : [...others, { account, changes: standing === 'changes' }],
    };
  }
  const standingOf = (account: string) => {
    const member = edited?.members.find((one) => one.account === account);
    return member ? (member.changes ? 'changes' : 'sees') : 'out';
  };

  onMount(load);
</script>

{#if problem}<Trouble {problem} retry={load} />{/if}
<p class="mb-4 max-w-2xl text-soft">
  A site that is in no crew is for everybody, as far as their role goes. One that is in a crew is there only
  for its people, and for administrators.
</p>
{#if edited}
  {@const crew = edited}
  <form class="grid gap-5 border-l-4 border-ink bg-raised p-4" onsubmit={save}>
    <label class="grid max-w-sm gap-1 font-bold"
      >Name of the crew
      <input
        class="{FIELD} font-normal"
        required
        maxlength="120"
        value={crew.name}
        oninput={(event) => (edited = { ...crew, name: event.currentTarget.value })}
      /></label
    >
    <fieldset>
      <legend class="font-bold">People</legend>
      <ul class="grid gap-x-8 sm:grid-cols-2">
        {#each accounts as one (one.name)}
          <li class="flex items-center gap-3 py-0.5">
            <span class="grow">{one.fullName}</span>
            <select
              class="{FIELD} w-52"
              aria-label="{one.fullName} in this crew"
              value={standingOf(one.name)}
              onchange={(event) => put(one.name, event.currentTarget.value as 'out' | 'sees' | 'changes')}
            >
              <option value="out">not in it</option>
              <option value="sees">sees</option>
              <option value="changes">sees and changes</option>
            </select>
          </li>
        {/each}
      </ul>
    </fieldset>
    <fieldset>
      <legend class="font-bold">Sites</legend>
      <ul class="grid gap-x-8 sm:grid-cols-2">
        {#each sites as site (site.id)}
          <li>
            <label class="flex min-h-11 items-center gap-2"
              ><input
                type="checkbox"
                class="h-5 w-5"
                checked={crew.sites.includes(site.id)}
                onchange={(event) =>
                  (edited = {
                    ...crew,
                    sites: event.currentTarget.checked
                      ? [...crew.sites, site.id]
                      : crew.sites.filter((id) => id !== site.id),
                  })}
              />{site.name}</label
            >
          </li>
        {/each}
      </ul>
    </fieldset>
    <Said problem={refused} />
    <div class="flex gap-3">
      <Action main type="submit">Save the crew</Action>
      <Action
        onclick={() => {
          edited = undefined;
          refused = undefined;
          void load();
        }}>Leave it</Action
      >
    </div>
  </form>
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
