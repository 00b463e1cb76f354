<script lang="ts">
  import { onMount } from 'svelte';
  import { api, outcome, type Problem } from '../lib/api/client';
  import type { AuditEntry } from '../lib/api/api';
  import Action from '../lib/shell/Action.svelte';
  import { FIELD } from '../lib/shell/fieldLook';
  import Trouble from '../lib/shell/Trouble.svelte';
  import { choiceOf } from '../lib/words';

  /** As many as the server gives at a time. */
  const PAGE = 100;

  let entries = $state.raw<AuditEntry[]>();
  let more = $state(false);
  let account = $state('');
  let site = $state('');
  let problem = $state.raw<Problem>();

  const asked = $derived({ ...(account && { account }), ...(site && { site }) });
  const table = $derived(`/api/audit.csv?${new URLSearchParams(asked).toString()}`);

  async function load(before?: number) {
    const query = { ...asked, ...(before && { before }) };
    const answer = await outcome(api.GET('/api/audit', { params: { query } }));
    problem = answer.problem;
    if (!answer.data) return;
    entries = before ? [...(entries ?? []), ...answer.data] : answer.data;
    more = answer.data.length === PAGE;
  }

  onMount(() => load());
</script>

{#if problem}<Trouble {problem} retry={() => load()} />{/if}
<form
  class="mb-4 flex flex-wrap items-end gap-3"
  onsubmit={(event) => {
    event.preventDefault();
    void load();
  }}
>
  <label class="grid gap-1 text-sm"
    >Account <input class="{FIELD} w-40" placeholder="everybody" bind:value={account} /></label
  >
  <label class="grid gap-1 text-sm"
    >Site <input class="{FIELD} w-48" placeholder="every site" bind:value={site} /></label
  >
  <Action type="submit">Look</Action>
  <a class="ml-auto flex min-h-11 items-center underline" href={table} download="sparen-what-was-done.csv"
    >Export (CSV)</a
  >
</form>
{#if !entries}
  {#if !problem}<p class="text-soft" role="status">Reading</p>{/if}
{:else if entries.length === 0}
  <p>Nothing of that was done.</p>
{:else}
  <ol class="divide-y divide-rule border-y border-rule">
    {#each entries as one (one.id)}
      <li class="flex flex-wrap gap-x-4 py-1.5">
        <time class="number w-44 text-soft" datetime={one.at}>{one.at.slice(0, 19).replace('T', ' ')}</time>
        <span class="w-52"
          >{one.account}{one.via ? ` with ${one.via}` : ''}
          <span class="text-soft">{one.address}</span></span
        >
        <span class="min-w-0 grow basis-72 break-words"
          ><b class="font-bold">{choiceOf(one.deed)}</b>
          {#if one.site}<span class="text-soft">{one.site}</span>{/if}
          {one.detail}</span
        >
      </li>
    {/each}
  </ol>
  <p class="mt-2 text-sm text-soft">Times in UTC. Nothing here is ever changed or taken away.</p>
  {#if more}<div class="mt-3"><Action onclick={() => load(entries?.at(-1)?.id)}>Show older</Action></div>{/if}
{/if}
