<script lang="ts">
  import { onMount } from 'svelte';
  import { api, outcome, type Problem } from '../lib/api/client';
  import type { OpenSession } from '../lib/api/api';
  import { minute } from '../lib/sentence/quantity';
  import Action from '../lib/shell/Action.svelte';
  import Said from '../lib/shell/Said.svelte';

  let sessions = $state.raw<OpenSession[]>();
  let problem = $state.raw<Problem>();

  const zone = Intl.DateTimeFormat().resolvedOptions().timeZone;
  const at = (instant: string) => minute(Date.parse(instant), zone);

  async function load() {
    const answer = await outcome(api.GET('/api/account/sessions'));
    sessions = answer.data ?? sessions;
    problem = answer.problem;
  }

  async function end(session: OpenSession) {
    const answer = await outcome(
      api.DELETE('/api/account/sessions/{id}', { params: { path: { id: session.id } } }),
    );
    if (answer.problem) await load();
    sessions = answer.data ?? sessions;
    problem = answer.problem;
  }

  async function endAll() {
    const answer = await outcome(api.POST('/api/account/sign-out-everywhere'));
    if (answer.problem) problem = answer.problem;
    else location.reload();
  }

  onMount(load);
</script>

<section class="grid grid-cols-1 gap-3" aria-label="Sessions">
  <h2>Where you are signed in</h2>
  {#if sessions}
    <ul class="divide-y divide-rule border-y border-rule">
      {#each sessions as session (session.id)}
        <li class="flex min-h-12 flex-wrap items-center gap-x-5 gap-y-1 py-1">
          <span class="grow"
            ><b>{session.here ? 'Here' : session.phone ? 'A phone' : 'A computer'}</b>{session.address
              ? `, ${session.address}`
              : ''}</span
          >
          <span class="text-soft">since {at(session.begunAt)}, last used {at(session.lastUsedAt)}</span>
          {#if !session.here}
            <button
              class="min-h-11 underline"
              aria-label="Sign out {session.address}, since {at(session.begunAt)}"
              onclick={() => end(session)}>Sign out</button
            >
          {/if}
        </li>
      {/each}
    </ul>
  {/if}
  <p class="text-soft">
    A session ends after 12 hours without a touch, after a week in any case, and wherever your password or
    role changes.
  </p>
  <div><Action onclick={endAll}>Sign out everywhere</Action></div>
  <Said {problem} />
</section>
