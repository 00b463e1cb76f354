<script lang="ts">
  import qrcode from 'qrcode-generator';
  import { api, outcome, type Problem } from '../lib/api/client';
  import type { PendingSecondFactor } from '../lib/api/api';
  import Action from '../lib/shell/Action.svelte';
  import { FIELD } from '../lib/shell/fieldLook';
  import Said from '../lib/shell/Said.svelte';
  import { session } from '../lib/shell/session.svelte';
  import Once from './Once.svelte';

  let pending = $state.raw<PendingSecondFactor>();
  /** What the password is asked for. */
  let asking = $state<'remove' | 'codes'>();
  let code = $state('');
  let password = $state('');
  /** Shown once, after they were made. */
  let written = $state.raw<string[]>();
  let problem = $state.raw<Problem>();

  /** The squares of a code that a phone reads, in a picture of so many a side. */
  function squares(address: string): { size: number; path: string } {
    // As small as it can be, with the usual share of it for what a camera misses.
    const code = qrcode(0, 'M');
    code.addData(address);
    code.make();
    const size = code.getModuleCount();
    let path = '';
    for (let row = 0; row < size; row++) {
      for (let column = 0; column < size; column++) {
        if (code.isDark(row, column)) path += `M${column} ${row}h1v1h-1z`;
      }
    }
    return { size, path };
  }

  async function begin() {
    const answer = await outcome(api.POST('/api/account/second-factor'));
    pending = answer.data;
    problem = answer.problem;
  }

  async function confirm(event: SubmitEvent) {
    event.preventDefault();
    const answer = await outcome(
      api.POST('/api/account/second-factor/confirm', { body: { code: code.trim() } }),
    );
    problem = answer.problem;
    if (problem) return;
    written = answer.data?.codes;
    pending = undefined;
    code = '';
    await session.load();
  }

  async function sure(event: SubmitEvent) {
    event.preventDefault();
    const body = { password };
    if (asking === 'codes') {
      const answer = await outcome(api.POST('/api/account/second-factor/recovery-codes', { body }));
      problem = answer.problem;
      written = answer.data?.codes ?? written;
    } else {
      problem = (await outcome(api.POST('/api/account/second-factor/remove', { body }))).problem;
      if (!problem) written = undefined;
    }
    if (problem) return;
    asking = undefined;
    password = '';
    await session.load();
  }
</script>

<section class="grid grid-cols-1 gap-3" aria-label="Second factor">
  <h2>Second factor</h2>
  {#if session.person?.hasSecondFactor}
    {@const left = session.person.recoveryCodesLeft}
    <p>At each sign-in you are asked for the 6 digits that your authenticator shows.</p>
    <p class={left > 2 ? 'text-soft' : 'font-bold'}>
      {left === 0 ? 'No recovery code is' : left === 1 ? '1 recovery code is' : `${left} recovery codes are`} left
      for when it is lost.
    </p>
    {#if written}
      <Once
        what="Recovery codes: write them down, each lets you in once without the authenticator"
        secret={written.join('\n')}
        done={() => (written = undefined)}
      />
    {/if}
    {#if asking}
      <form class="flex max-w-md flex-wrap items-end gap-3" onsubmit={sure}>
        <label class="grid grow gap-1 font-bold"
          >Password, to be sure it is you
          <input
            class="{FIELD} font-normal"
            type="password"
            autocomplete="current-password"
            required
            bind:value={password}
          /></label
        >
        <Action type="submit">{asking === 'codes' ? 'Make new codes' : 'Take it away'}</Action>
        <Action onclick={() => (asking = undefined)}>Leave it</Action>
      </form>
    {:else}
      <div class="flex flex-wrap gap-3">
        <Action onclick={() => (asking = 'codes')}>New recovery codes…</Action>
        <Action onclick={() => (asking = 'remove')}>Take it away…</Action>
      </div>
    {/if}
  {:else if pending}
    {@const { size, path } = squares(pending.address)}
    <p>Read this with an authenticator on your phone, or type the secret into it.</p>
    <svg
      class="size-56 bg-scan-ground text-scan-mark"
      viewBox="-3 -3 {size + 6} {size + 6}"
      shape-rendering="crispEdges"
      role="img"
      aria-label="The secret, to be read by a phone"><path d={path} fill="currentColor" /></svg
    >
    <p class="font-mono break-all select-all">{pending.secret}</p>
    <p><a class="underline" href={pending.address}>Open the authenticator of this device</a></p>
    <form class="flex max-w-md flex-wrap items-end gap-3" onsubmit={confirm}>
      <label class="grid grow gap-1 font-bold"
        >The 6 digits that it shows
        <input
          class="{FIELD} number font-normal"
          inputmode="numeric"
          autocomplete="one-time-code"
          pattern="[0-9]{'{6}'}"
          required
          bind:value={code}
        /></label
      >
      <Action main type="submit">Confirm</Action>
      <Action onclick={() => (pending = undefined)}>Leave it</Action>
    </form>
  {:else}
    <p class="text-soft">None: the password alone lets you in.</p>
    <div><Action onclick={begin}>Set one up</Action></div>
  {/if}
  <Said {problem} />
</section>
