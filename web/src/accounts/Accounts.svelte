<script lang="ts">
  import LeftWork from './LeftWork.svelte';
  import { onMount } from 'svelte';
  import { api, outcome, type Outcome, type Problem } from '../lib/api/client';
  import type { AccountInList, NewLink, Organisation } from '../lib/api/api';
  import Action from '../lib/shell/Action.svelte';
  import Said from '../lib/shell/Said.svelte';
  import { session } from '../lib/shell/session.svelte';
  import Trouble from '../lib/shell/Trouble.svelte';
  import AccountRow from './AccountRow.svelte';
  import NewAccount from './NewAccount.svelte';
  import Once from './Once.svelte';
  import OrganisationPart from './OrganisationPart.svelte';

  let accounts = $state.raw<AccountInList[]>();
  let organisation = $state.raw<Organisation>();
  let problem = $state.raw<Problem>();
  let refused = $state.raw<Problem>();
  let link = $state.raw<{ whose: string; made: NewLink }>();
  let done = $state('');
  let adding = $state(false);

  async function load() {
    const [all, ours] = await Promise.all([
      outcome(api.GET('/api/accounts')),
      outcome(api.GET('/api/organisation')),
    ]);
    accounts = all.data ?? accounts;
    organisation = ours.data ?? organisation;
    problem = all.problem ?? ours.problem;
  }

  /** Shows what came of an act; what was refused leaves the list as it is. */
  function take(answer: Outcome<AccountInList[]>, says: string) {
    accounts = answer.data ? answer.data : accounts && [...accounts];
    refused = answer.problem;
    done = answer.problem ? '' : says;
  }

  async function change(one: AccountInList, more: Partial<AccountInList>, says: string) {
    const next = { ...one, ...more };
    const standing = {
      fullName: next.fullName,
      role: next.role,
      writesToDevices: next.writesToDevices && next.role !== 'OBSERVER',
      active: next.active,
    };
    take(
      await outcome(
        api.PUT('/api/accounts/{name}', { params: { path: { name: one.name } }, body: standing }),
      ),
      says,
    );
    if (one.name === session.person?.name) await session.load();
  }

  async function newLink(one: AccountInList) {
    const answer = await outcome(
      api.POST('/api/accounts/{name}/link', { params: { path: { name: one.name } } }),
    );
    refused = answer.problem;
    if (answer.data) link = { whose: one.fullName, made: answer.data };
  }

  async function signOut(one: AccountInList) {
    const answer = await outcome(
      api.POST('/api/accounts/{name}/sign-out', { params: { path: { name: one.name } } }),
    );
    refused = answer.problem;
    done = answer.problem ? '' : `${one.fullName} is signed out everywhere.`;
    if (one.name === session.person?.name) location.reload();
  }

  async function removeSecondFactor(one: AccountInList) {
    const path = { name: one.name };
    take(
      await outcome(api.DELETE('/api/accounts/{name}/second-factor', { params: { path } })),
      `${one.fullName} signs in with the password alone.`,
    );
  }

  onMount(load);
</script>

{#if problem}<Trouble {problem} retry={load} />{/if}
{#if link}
  {@const { whose, made } = link}
  <Once
    what="A link for {whose} to set a password with, once. Hand it over yourself."
    secret={location.origin + made.path}
    until={made.expiresAt.slice(0, 10)}
    done={() => (link = undefined)}
  />
{/if}
<div class="mb-3 flex flex-wrap items-center gap-3">
  <Action main={!adding} onclick={() => (adding = !adding)}>{adding ? 'Leave it' : 'New account'}</Action>
  <p role="status" class="grow">{done}</p>
</div>
{#if adding}
  <NewAccount
    made={(whose, made) => {
      link = { whose, made };
      adding = false;
      void load();
    }}
  />
{/if}
<Said problem={refused} />
{#if !accounts}
  {#if !problem}<p class="text-soft" role="status">Reading the accounts</p>{/if}
{:else}
  <ul class="divide-y divide-rule border-y border-rule">
    {#each accounts as one (one.name)}
      <AccountRow {one} {change} {newLink} {signOut} {removeSecondFactor} />
    {/each}
  </ul>
{/if}
{#if organisation}
  <OrganisationPart {organisation} taken={(ours) => (organisation = ours)} />
{/if}
<LeftWork />
