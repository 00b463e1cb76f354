<script lang="ts">
  import { onMount } from 'svelte';
  import { replace } from 'svelte-spa-router';
  import { api, outcome, type Problem } from '../lib/api/client';
  import type { LinkOwner } from '../lib/api/api';
  import Action from '../lib/shell/Action.svelte';
  import { FIELD } from '../lib/shell/fieldLook';
  import Said from '../lib/shell/Said.svelte';
  import { session } from '../lib/shell/session.svelte';
  import NewPasswordField from './NewPasswordField.svelte';

  /** Where a one-time link leads: whose it is sets a password and is signed in. */
  let { secret }: { secret: string } = $props();

  let owner = $state.raw<LinkOwner>();
  let problem = $state.raw<Problem>();
  let gone = $state.raw<Problem>();
  let name = $state('');
  let fullName = $state('');
  let password = $state('');
  let busy = $state(false);

  onMount(async () => {
    // The token against forgery comes with the first answer.
    await outcome(api.GET('/api/session'));
    const answer = await outcome(api.POST('/api/one-time-links/look', { body: { secret } }));
    owner = answer.data;
    gone = answer.problem;
  });

  async function use(event: SubmitEvent) {
    event.preventDefault();
    busy = true;
    const first = owner?.name ? undefined : { name: name.trim(), fullName: fullName.trim() };
    const answer = await outcome(
      api.POST('/api/one-time-links/use', { body: { secret, password, ...(first && { first }) } }),
    );
    problem = answer.problem ?? (answer.data && (await session.signIn(answer.data.name, password)));
    busy = false;
    if (!problem) await replace('/');
    // Set, but a second factor is asked for: the page to sign in asks.
    else if (answer.data) await replace('/');
  }
</script>

<svelte:head><title>Welcome – Sparen</title></svelte:head>

<main class="mx-auto grid min-h-screen max-w-md content-center gap-5 px-6 py-10">
  <h1 class="text-4xl!">Sparen</h1>
  {#if gone}
    <p role="alert">{gone.detail}</p>
    <p><a class="underline" href="#/">To the sign-in</a></p>
  {:else if !owner}
    <p class="text-soft" role="status">Looking at the link</p>
  {:else}
    <form class="grid gap-5" onsubmit={use}>
      {#if owner.name}
        <p>
          This link is for <b>{owner.fullName}</b>. You sign in as <b>{owner.name}</b>, with the password that
          you set here.
        </p>
        <input
          class="sr-only"
          aria-label="Signs in as"
          type="text"
          autocomplete="username"
          value={owner.name}
          readonly
          tabindex="-1"
        />
      {:else}
        <p>You are the first here: the administrator, who lets the others in.</p>
        <label class="grid gap-1 font-bold"
          >Name to sign in with
          <input
            class="{FIELD} font-normal"
            autocomplete="username"
            autocapitalize="none"
            required
            bind:value={name}
          /></label
        >
        <label class="grid gap-1 font-bold"
          >Full name
          <input class="{FIELD} font-normal" autocomplete="name" required bind:value={fullName} /></label
        >
      {/if}
      <NewPasswordField bind:value={password} />
      <Action main type="submit" disabled={busy}>{busy ? 'Setting it' : 'Set it and sign in'}</Action>
      <Said {problem} />
    </form>
  {/if}
</main>
