<script lang="ts">
  import type { Problem } from '../lib/api/client';
  import { gate } from '../lib/along/gate.svelte';
  import { SITES } from '../lib/along/newSite';
  import type { Waiting } from '../lib/along/store';
  import { moment } from '../lib/sentence/quantity';
  import Action from '../lib/shell/Action.svelte';
  import Frame from '../lib/shell/Frame.svelte';
  import Trouble from '../lib/shell/Trouble.svelte';
  import { takeAlong } from './takeAlong';

  /** What is taken along in this browser, and what waits to be sent. */
  const along = $derived(gate.along);
  const zone = Intl.DateTimeFormat().resolvedOptions().timeZone;
  const nameOf = (site: string) => along?.taken.find((one) => one.site === site)?.row.name ?? site;
  let says = $state('');
  let problem = $state.raw<Problem>();
  let room = $state<number>();
  /** What would be given up with a second press. */
  let unsure = $state<number>();

  $effect(() => {
    void along?.taken;
    void navigator.storage?.estimate().then((all) => (room = all.usage));
  });

  const megabytes = (bytes: number) => `${(bytes / 1e6).toFixed(1)} MB`;

  function asFile(one: Waiting) {
    const link = document.createElement('a');
    link.href = URL.createObjectURL(new Blob([JSON.stringify(one, null, 2)], { type: 'application/json' }));
    link.download = `${one.site}-${one.at.slice(0, 10)}-${one.number}.json`;
    link.click();
    setTimeout(() => URL.revokeObjectURL(link.href), 1000);
  }
</script>

<Frame title="Taken along">
  {#if problem}<Trouble {problem} />{/if}
  {#if says}<p class="border-b border-rule px-4 py-3 md:px-6" role="status">{says}</p>{/if}
  <div class="max-w-4xl px-4 py-6 md:px-6">
    {#if !along || along.taken.length === 0}
      <p class="text-3xl leading-9 font-bold">Nothing is taken along.</p>
      <p class="mt-3">
        Take a site along from the <a class="underline" href="#/">list of sites</a>, behind its three dots: it
        opens without a network then, and what you change there is sent when there is one again.
      </p>
    {:else}
      <p class="text-3xl leading-9 font-bold">
        {along.taken.length === 1 ? '1 site is' : `${along.taken.length} sites are`} in this browser.
      </p>
      <p class="mt-2 text-soft">
        {room === undefined ? '' : `${megabytes(room)} in all with the page and the core. `}Opens without a
        network for {along.known?.person.offlineDays ?? 0} days from the last time there was one.
      </p>
      <ul class="mt-4">
        {#each along.taken as one (one.site)}
          <li class="flex flex-wrap items-center gap-x-6 gap-y-1 min-h-16 border-t border-rule py-2">
            <a
              class="min-w-48 grow text-lg font-bold underline underline-offset-4"
              href="#/site/{one.site}/plan">{one.row.name}</a
            >
            {#if !along.isOnlyHere(one.site)}<span class="number">{megabytes(one.bytes)}</span>{/if}
            <span class="text-soft">{moment(Date.parse(one.at), zone)}</span>
            {#if along.isOnlyHere(one.site)}
              <span class="text-soft">begun here, waits to be sent</span>
            {:else}
              <Action
                disabled={along.offline}
                aria-label="Take anew: {one.row.name}"
                onclick={async () => (problem = await takeAlong(one.row, (text) => (says = text)))}
                >Take anew</Action
              >
              <Action aria-label="Leave behind: {one.row.name}" onclick={() => along.leaveBehind(one.site)}
                >Leave behind</Action
              >
            {/if}
          </li>
        {/each}
      </ul>
    {/if}
    {#if along && along.waiting.length > 0}
      <h2 class="mt-8">Waits to be sent</h2>
      <ol class="mt-2">
        {#each along.waiting as one (one.number)}
          <li class="grid items-center gap-x-6 border-t border-rule py-1 md:grid-cols-[1fr_auto_auto]">
            <div>
              <p><b>{nameOf(one.site)}</b>: {one.says}</p>
              {#if one.refused}<p class="text-danger">not taken by the server: {one.refused}</p>{/if}
            </div>
            <span class="text-soft">{moment(Date.parse(one.at), zone)}</span>
            <span class="flex gap-4">
              <button class="min-h-11 underline" onclick={() => asFile(one)}>As a file</button>
              {#if unsure === one.number}
                <button class="min-h-11 font-bold text-danger underline" onclick={() => along.discard(one)}
                  >{one.path === SITES
                    ? 'Give up the site and all that waits of it'
                    : 'Give it up for good'}</button
                >
              {:else}
                <button class="min-h-11 underline" onclick={() => (unsure = one.number)}>Give up…</button>
              {/if}
            </span>
          </li>
        {/each}
      </ol>
      <p class="mt-3"><Action disabled={along.offline} onclick={() => along.sendAll()}>Send now</Action></p>
    {/if}
  </div>
</Frame>
