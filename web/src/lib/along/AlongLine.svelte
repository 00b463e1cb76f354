<script lang="ts">
  import { session } from '../shell/session.svelte';
  import { dayWritten } from '../sentence/days';
  import type { Along } from './along.svelte';
  import { reloadNewer } from './shell';

  /** What is offline, what waits, what is old: one quiet line, and none where nothing is to be said. */
  let { along, site }: { along: Along; site?: string | undefined } = $props();

  const here = $derived(along.taken.find((one) => one.site === site));
  const refused = $derived(along.waiting.filter((one) => one.refused).length);
  const waiting = $derived(along.waiting.length - refused);
  const changes = (count: number) => (count === 1 ? '1 change' : `${count} changes`);
  const says = $derived.by(() => {
    const waits = waiting > 0 ? `${changes(waiting)} ${waiting === 1 ? 'waits' : 'wait'} to be sent.` : '';
    if (along.offline) {
      const what = here
        ? along.isOnlyHere(here.site)
          ? 'This site was begun here.'
          : `As taken along on ${dayWritten(here.at.slice(0, 10))}.`
        : site
          ? 'This site was not taken along.'
          : '';
      return ['No network.', what, waits].filter(Boolean).join(' ');
    }
    if (along.signInWanted) return `Sign in again to send what waits: ${changes(waiting)}.`;
    return waits;
  });
</script>

{#if says || refused > 0 || along.newer}
  <p
    class="no-print flex min-h-9 flex-wrap items-center gap-x-4 border-b border-rule bg-sunk px-4 text-sm md:px-6"
    role="status"
  >
    {#if says}<span>{says}</span>{/if}
    {#if refused > 0}<b class="text-danger">{changes(refused)} not taken by the server</b>{/if}
    {#if waiting + refused > 0}<a class="underline" href="#/along">See</a>{/if}
    {#if along.newer}<button class="min-h-9 underline" onclick={reloadNewer}
        >A newer Sparen is here: look again</button
      >{/if}
  </p>
{/if}
{#if session.leavesUnsent > 0}
  <div
    class="flex flex-wrap items-center gap-3 border-b border-rule border-l-4 border-l-danger bg-raised px-4 py-2 md:px-6"
    role="alert"
  >
    <p class="grow">
      {session.leavesUnsent === 1 ? '1 change waits' : `${session.leavesUnsent} changes wait`} to be sent. Signed
      out, they stay in this browser, unread, until you sign in here again; what was taken along is wiped.
    </p>
    <button class="min-h-11 font-bold underline" onclick={() => session.signOut(true)}
      >Sign out all the same</button
    >
    <button class="min-h-11 underline" onclick={() => (session.leavesUnsent = 0)}>Stay</button>
  </div>
{/if}
