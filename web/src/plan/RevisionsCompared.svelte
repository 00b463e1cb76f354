<script lang="ts">
  import { untrack } from 'svelte';
  import { shownNumber } from '../lib/along/local';
  import { api, outcome, type Problem } from '../lib/api/client';
  import type { Change, Revision } from '../lib/api/api';
  import Action from '../lib/shell/Action.svelte';
  import { FIELD } from '../lib/shell/fieldLook';
  import Trouble from '../lib/shell/Trouble.svelte';

  /** What differs between two revisions, the newest and the one before it first. */
  let { site, revisions }: { site: string; revisions: Revision[] } = $props();

  let to = $state(untrack(() => revisions[0]?.number ?? 0));
  let from = $state(untrack(() => Math.max(0, to - 1)));
  let changes = $state.raw<Change[]>();
  let problem = $state<Problem>();

  async function compare(event: SubmitEvent) {
    event.preventDefault();
    const answer = await outcome(
      api.GET('/api/sites/{siteId}/revisions/{number}/changes/{to}', {
        params: { path: { siteId: site, number: from, to } },
      }),
    );
    problem = answer.problem;
    changes = answer.data;
  }
</script>

<form class="mt-3 flex flex-wrap items-end gap-3" onsubmit={compare}>
  {#each [['from', 'Compare revision'], ['to', 'with revision']] as const as [which, label] (which)}
    <label class="grid gap-1 text-sm text-soft"
      >{label}
      <select
        class={FIELD}
        value={which === 'from' ? from : to}
        onchange={(event) => {
          const chosen = Number(event.currentTarget.value);
          if (which === 'from') from = chosen;
          else to = chosen;
        }}
      >
        {#each revisions as one (one.number)}
          <option value={one.number}>{shownNumber(one.number)}{one.name ? ` · ${one.name}` : ''}</option>
        {/each}
      </select>
    </label>
  {/each}
  <Action type="submit">Compare</Action>
</form>
{#if problem}<Trouble {problem} />{/if}
{#if changes}
  <div class="mt-3 max-w-3xl border-l-4 border-ink bg-raised p-3" role="status">
    <p class="font-bold">From revision {shownNumber(from)} to {shownNumber(to)}</p>
    {#if changes.length === 0}<p>Nothing differs.</p>{/if}
    <ul>
      {#each changes as one (one.path + one.says)}<li class="tabular-nums">{one.says}</li>{/each}
    </ul>
  </div>
{/if}
