<script lang="ts">
  import { onMount } from 'svelte';
  import { api, outcome, type Problem } from '../lib/api/client';
  import type { ApiToken, MadeToken } from '../lib/api/api';
  import { day } from '../lib/sentence/quantity';
  import Action from '../lib/shell/Action.svelte';
  import { FIELD } from '../lib/shell/fieldLook';
  import Said from '../lib/shell/Said.svelte';
  import { session } from '../lib/shell/session.svelte';
  import Once from './Once.svelte';

  let tokens = $state.raw<ApiToken[]>();
  let made = $state.raw<MadeToken>();
  let problem = $state.raw<Problem>();
  let name = $state('');
  let changes = $state(false);
  let days = $state(90);

  async function load() {
    const answer = await outcome(api.GET('/api/account/tokens'));
    tokens = answer.data ?? tokens;
    problem = answer.problem;
  }

  async function make(event: SubmitEvent) {
    event.preventDefault();
    const answer = await outcome(
      api.POST('/api/account/tokens', { body: { name: name.trim(), changes, days } }),
    );
    made = answer.data;
    if (made) {
      name = '';
      await load();
    }
    problem = answer.problem;
  }

  async function withdraw(token: ApiToken) {
    const answer = await outcome(
      api.DELETE('/api/account/tokens/{id}', { params: { path: { id: token.id } } }),
    );
    tokens = answer.data ?? tokens;
    problem = answer.problem;
  }

  onMount(load);
</script>

<section class="grid grid-cols-1 gap-3" aria-label="Tokens">
  <h2>Tokens for scripts</h2>
  <p class="text-soft">
    A script that sends one as <span class="number">Authorization: Bearer …</span> does what you may do.
  </p>
  {#if tokens?.length === 0}<p>None yet.</p>{/if}
  {#if tokens && tokens.length > 0}
    <ul class="divide-y divide-rule border-y border-rule">
      {#each tokens as token (token.id)}
        <li class="flex flex-wrap items-center gap-x-5 gap-y-1 py-1">
          <b class="grow">{token.name}</b>
          <span>{token.changes ? 'reads and changes' : 'reads'}</span>
          <span class="text-soft"
            >{token.lastUsedAt ? `last used ${day(token.lastUsedAt)}` : 'never used'}, until {day(
              token.expiresAt,
            )}</span
          >
          <button
            class="min-h-11 underline"
            aria-label="Withdraw {token.name}"
            onclick={() => withdraw(token)}>Withdraw</button
          >
        </li>
      {/each}
    </ul>
  {/if}
  {#if made}
    <Once
      what="The token {made.token.name}"
      secret={made.secret}
      until={day(made.token.expiresAt)}
      done={() => (made = undefined)}
    />
  {/if}
  <form class="flex flex-wrap items-end gap-3" onsubmit={make}>
    <label class="grid gap-1 font-bold"
      >Name of a new one
      <input class="{FIELD} w-56 font-normal" required maxlength="120" bind:value={name} /></label
    >
    <label class="grid gap-1 font-bold"
      >Holds (d)
      <input
        class="{FIELD} number w-24 font-normal"
        type="number"
        min="1"
        max="366"
        required
        bind:value={days}
      /></label
    >
    {#if session.mayChange}
      <label class="flex min-h-11 items-center gap-2"
        ><input type="checkbox" class="h-5 w-5" bind:checked={changes} />may change</label
      >
    {/if}
    <Action type="submit">Make it</Action>
  </form>
  <Said {problem} />
</section>
