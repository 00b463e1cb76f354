<script lang="ts">
  import type { BenchTestView } from '../lib/api/api';
  import Action from '../lib/shell/Action.svelte';
  import { FIELD } from '../lib/shell/fieldLook';
  import Said from '../lib/shell/Said.svelte';
  import type { BenchTests } from './benchTests.svelte';

  /** What was plugged in for a test and is taken away again before it is signed. */
  interface Props {
    tests: BenchTests;
    test: BenchTestView;
    readonly: boolean;
  }
  let { tests, test, readonly }: Props = $props();

  let what = $state('');

  async function plug(event: SubmitEvent) {
    event.preventDefault();
    if (await tests.plug(test, what)) what = '';
  }
</script>

<section class="border-t border-rule px-4 py-5 md:px-6" aria-labelledby="put-back">
  <h2 id="put-back">To be put back</h2>
  <ul class="mt-2 max-w-3xl">
    {#each test.plugged as one (one.id)}
      <li class="flex min-h-12 flex-wrap items-center gap-x-4 border-t border-rule">
        <span class="grow {one.removedAt ? 'text-soft' : 'font-bold'}"
          >{one.what}{one.removedAt ? `, taken away by ${one.removedBy}` : ''}</span
        >
        {#if !one.removedAt && !readonly}
          <Action onclick={() => tests.unplug(test, one.id)}>Taken away: {one.what}</Action>
        {/if}
      </li>
    {/each}
  </ul>
  {#if !readonly}
    <form class="no-print mt-3 flex flex-wrap items-end gap-3" onsubmit={plug} novalidate>
      <label class="grid gap-1"
        >plugged in for the test
        <input class="{FIELD} w-72" placeholder="balancer, charger, laptop" bind:value={what} /></label
      >
      <Action type="submit" disabled={what.trim() === ''}>Note it</Action>
      {#if tests.refused?.at === 'plugged'}<Said problem={tests.refused.problem} />{/if}
    </form>
  {/if}
</section>
