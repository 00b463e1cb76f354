<script lang="ts">
  import Action from '../lib/shell/Action.svelte';
  import { Input, Label } from 'flowbite-svelte';
  import { FIELD } from '../lib/shell/fieldLook';
  import { gate } from '../lib/along/gate.svelte';
  import { session } from '../lib/shell/session.svelte';

  let name = $state('');
  let password = $state('');
  let trouble = $state('');
  let code = $state('');
  /** The password was right, and a code is asked for too. */
  let second = $state(false);
  let busy = $state(false);

  async function signIn(event: SubmitEvent) {
    event.preventDefault();
    busy = true;
    trouble = '';
    const problem = await session.signIn(name.trim(), password, second ? code.trim() : undefined);
    busy = false;
    if (!problem) return;
    second = second || problem.type === 'urn:sparen:problem:code-wanted';
    trouble = problem.detail;
  }
</script>

<svelte:head><title>Sign in – Sparen</title></svelte:head>

<main class="grid min-h-screen grid-cols-1 lg:grid-cols-[1fr_26rem]">
  <div class="hidden border-r border-rule lg:block" aria-hidden="true">
    <svg class="h-full w-full" viewBox="0 0 800 800" preserveAspectRatio="xMidYMid slice">
      <g stroke="var(--rule)" stroke-width="1">
        {#each [160, 240, 320, 400, 480, 560, 640] as y (y)}<path d="M0 {y}H800" />{/each}
      </g>
      <path d="M0 560H800" stroke="var(--ink)" stroke-width="2" stroke-dasharray="10 6" />
      <path d="M0 320H800" stroke="var(--ink)" stroke-width="2" stroke-dasharray="3 6" />
      <path
        d="M0 300C60 330 90 390 150 410S220 240 280 250S330 400 400 440S470 330 520 350S590 520 650 560L652 500C690 480 740 330 800 300"
        fill="none"
        stroke="var(--battery)"
        stroke-width="5"
      />
      <path d="M640 566h20l-10 16z" fill="var(--ink)" />
      <path d="M772 314h20l-10 -16z" fill="var(--ink)" />
      <g fill="var(--load)">
        <rect x="0" y="690" width="650" height="16" />
        <rect x="782" y="690" width="18" height="16" />
      </g>
      <path d="M650 698H782" stroke="var(--load)" stroke-width="2" stroke-dasharray="4 5" />
    </svg>
  </div>
  <form class="flex flex-col justify-center gap-5 px-6 py-10 sm:px-10" onsubmit={signIn}>
    <div>
      <h1 class="text-4xl!">Sparen</h1>
      <p class="mt-2 text-soft">
        Load disconnects, relay outputs and diversion, tried before you leave the site.
      </p>
    </div>
    <Label class="flex flex-col gap-1 text-base font-bold text-ink dark:text-ink"
      >Name <Input
        class={[FIELD, 'font-normal']}
        name="name"
        autocomplete="username"
        required
        bind:value={name}
      /></Label
    >
    <Label class="flex flex-col gap-1 text-base font-bold text-ink dark:text-ink"
      >Password <Input
        class={[FIELD, 'font-normal']}
        name="password"
        type="password"
        autocomplete="current-password"
        required
        bind:value={password}
      /></Label
    >
    {#if gate.along?.wiped}
      <p class="border-l-4 border-ink pl-3" role="status">
        The account that took sites along in this browser was withdrawn: they are wiped, and what was not sent
        is kept for the administrator.
      </p>
    {/if}
    {#if second}
      <Label class="flex flex-col gap-1 text-base font-bold text-ink dark:text-ink"
        >Code of your authenticator, or a recovery code <Input
          class={[FIELD, 'font-normal']}
          name="code"
          autocomplete="one-time-code"
          required
          bind:value={code}
        /></Label
      >
    {/if}
    <Action main type="submit" disabled={busy}>{busy ? 'Signing in' : 'Sign in'}</Action>
    <p class="min-h-6 text-danger" role="alert">{trouble}</p>
    <p class="text-sm text-soft">
      Results are simulated planning figures, no proof of safety. Work on batteries, arrays and AC circuits
      follows local code and licensed practice.
    </p>
  </form>
</main>
