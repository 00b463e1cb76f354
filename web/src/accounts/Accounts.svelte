<script lang="ts">
  import LeftWork from './LeftWork.svelte';
  import { onMount } from 'svelte';
  import { api, outcome, type Outcome, type Problem } from '../lib/api/client';
  import type { AccountInList, NewLink, Organisation } from '../lib/api/api';
  import Action from '../lib/shell/Action.svelte';
  import { FIELD } from '../lib/shell/fieldLook';
  import Menu from '../lib/shell/Menu.svelte';
  import Said from '../lib/shell/Said.svelte';
  import { ROLES, session, type Role } from '../lib/shell/session.svelte';
  import Trouble from '../lib/shell/Trouble.svelte';
  import Once from './Once.svelte';

  let accounts = $state.raw<AccountInList[]>();
  let organisation = $state.raw<Organisation>();
  let problem = $state.raw<Problem>();
  let refused = $state.raw<Problem>();
  let link = $state.raw<{ whose: string; made: NewLink }>();
  let done = $state('');
  let adding = $state(false);
  let name = $state('');
  let fullName = $state('');
  let role = $state<Role>('TECHNICIAN');

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

  async function make(event: SubmitEvent) {
    event.preventDefault();
    const standing = { fullName: fullName.trim(), role, writesToDevices: false, active: true };
    const answer = await outcome(api.POST('/api/accounts', { body: { name: name.trim(), standing } }));
    refused = answer.problem;
    if (!answer.data) return;
    link = { whose: standing.fullName, made: answer.data };
    adding = false;
    name = fullName = '';
    await load();
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

  async function setOrganisation(next: Organisation) {
    const answer = await outcome(api.PUT('/api/organisation', { body: next }));
    organisation = answer.data ?? (organisation && { ...organisation });
    refused = answer.problem;
    if (answer.data) await session.load();
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
  <form class="mb-5 flex flex-wrap items-end gap-3 border-l-4 border-ink bg-raised p-4" onsubmit={make}>
    <label class="grid gap-1 font-bold"
      >Full name <input
        class="{FIELD} w-60 font-normal"
        required
        maxlength="120"
        bind:value={fullName}
      /></label
    >
    <label class="grid gap-1 font-bold"
      >Signs in as
      <input
        class="{FIELD} w-44 font-normal"
        required
        autocapitalize="none"
        placeholder="a to z, 0 to 9"
        bind:value={name}
      /></label
    >
    <label class="grid gap-1 font-bold"
      >Role
      <select class="{FIELD} font-normal" bind:value={role}>
        {#each ROLES as [key, word] (key)}<option value={key}>{word}</option>{/each}
      </select></label
    >
    <Action main type="submit">Make it</Action>
  </form>
{/if}
<Said problem={refused} />
{#if !accounts}
  {#if !problem}<p class="text-soft" role="status">Reading the accounts</p>{/if}
{:else}
  <ul class="divide-y divide-rule border-y border-rule">
    {#each accounts as one (one.name)}
      {@const whose = one.fullName}
      <li class="flex flex-wrap items-center gap-x-4 gap-y-1 py-1.5 {one.active ? '' : 'text-soft'}">
        <p class="min-w-44 grow">
          <b class={one.active ? '' : 'line-through'}>{whose}</b>
          <span class="text-soft"
            >{one.name}{one.hasSecondFactor ? ', second factor' : ''}{one.active ? '' : ', disabled'}</span
          >
        </p>
        <select
          class="{FIELD} w-40"
          aria-label="Role of {whose}"
          value={one.role}
          onchange={(event) =>
            change(one, { role: event.currentTarget.value as Role }, `${whose} has another role.`)}
        >
          {#each ROLES as [key, word] (key)}<option value={key}>{word}</option>{/each}
        </select>
        <label class="flex min-h-11 w-44 items-center gap-2 text-sm"
          ><input
            type="checkbox"
            class="h-5 w-5"
            aria-label="{whose} may write to devices"
            disabled={one.role === 'OBSERVER'}
            checked={one.writesToDevices}
            onchange={(event) =>
              change(
                one,
                { writesToDevices: event.currentTarget.checked },
                `${whose} ${event.currentTarget.checked ? 'may' : 'may not'} write to devices.`,
              )}
          />writes to devices</label
        >
        <Menu label="More for {whose}">
          <button class="min-h-11 px-4 text-left hover:bg-sunk" onclick={() => newLink(one)}
            >Link for a new password…</button
          >
          <button class="min-h-11 px-4 text-left hover:bg-sunk" onclick={() => signOut(one)}
            >Sign out everywhere</button
          >
          {#if one.hasSecondFactor}
            <button class="min-h-11 px-4 text-left hover:bg-sunk" onclick={() => removeSecondFactor(one)}
              >Take the second factor away</button
            >
          {/if}
          <button
            class="min-h-11 px-4 text-left hover:bg-sunk"
            onclick={() =>
              change(
                one,
                { active: !one.active },
                `${whose} ${one.active ? 'is disabled, and signed out' : 'may sign in again'}.`,
              )}>{one.active ? 'Disable' : 'Enable'}</button
          >
        </Menu>
      </li>
    {/each}
  </ul>
{/if}
{#if organisation}
  {@const ours = organisation}
  <section class="mt-8 grid gap-3" aria-label="Organisation">
    <h2>Organisation</h2>
    <label class="flex flex-wrap items-center gap-3"
      >Name
      <input
        class="{FIELD} w-72"
        maxlength="120"
        value={ours.name}
        onchange={(event) => setOrganisation({ ...ours, name: event.currentTarget.value })}
      /></label
    >
    <label class="flex min-h-11 items-center gap-2"
      ><input
        type="checkbox"
        class="h-5 w-5"
        checked={ours.secondFactorRequired}
        onchange={(event) => setOrganisation({ ...ours, secondFactorRequired: event.currentTarget.checked })}
      />everybody needs a second factor to sign in</label
    >
    <label class="flex flex-wrap items-center gap-3"
      >Networks in which devices may be reached
      <input
        class="{FIELD} number w-72"
        placeholder="none, or 192.168.4.0/24"
        value={ours.deviceNetworks}
        onchange={(event) => setOrganisation({ ...ours, deviceNetworks: event.currentTarget.value })}
      /></label
    >
    <label class="flex flex-wrap items-center gap-3"
      >Sites that are taken along open without a network for
      <input
        class="{FIELD} number w-24"
        type="number"
        min="0"
        max="90"
        value={ours.offlineDays}
        onchange={(event) => setOrganisation({ ...ours, offlineDays: event.currentTarget.valueAsNumber })}
      />days</label
    >
  </section>
{/if}
<LeftWork />
