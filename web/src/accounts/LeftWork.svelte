<script lang="ts">
  import { onMount } from 'svelte';
  import { api, outcome, type Problem } from '../lib/api/client';
  import type { LeftWork } from '../lib/api/api';
  import { moment } from '../lib/sentence/quantity';
  import Trouble from '../lib/shell/Trouble.svelte';

  /** What accounts that were withdrawn made without a network and never sent. */
  const zone = Intl.DateTimeFormat().resolvedOptions().timeZone;
  let left = $state.raw<LeftWork[]>([]);
  let problem = $state.raw<Problem>();
  /** What would be taken away with a second press. */
  let unsure = $state('');

  async function load() {
    const answer = await outcome(api.GET('/api/left-work'));
    left = answer.data ?? left;
    problem = answer.problem;
  }
  onMount(load);

  async function remove(id: string) {
    problem = (await outcome(api.DELETE('/api/left-work/{id}', { params: { path: { id } } }))).problem;
    if (!problem) await load();
  }
</script>

{#if problem}<Trouble {problem} retry={load} />{/if}
{#if left.length > 0}
  <section class="mt-8 grid gap-2" aria-label="Left unsent">
    <h2>Left unsent by accounts that were withdrawn</h2>
    <ul>
      {#each left as one (one.id)}
        <li class="flex flex-wrap items-center gap-x-6 border-t border-rule py-1">
          <span class="grow"><b>{one.account}</b>: {one.says}</span>
          <span class="text-soft">{moment(Date.parse(one.leftAt), zone)}</span>
          <a
            class="flex min-h-11 items-center underline"
            href="/api/left-work/{one.id}"
            download="left-{one.account}-{one.id.slice(0, 8)}.json">As a file</a
          >
          {#if unsure === one.id}
            <button class="min-h-11 font-bold text-danger underline" onclick={() => remove(one.id)}
              >Take it away for good</button
            >
          {:else}
            <button class="min-h-11 underline" onclick={() => (unsure = one.id)}>Take away…</button>
          {/if}
        </li>
      {/each}
    </ul>
  </section>
{/if}
