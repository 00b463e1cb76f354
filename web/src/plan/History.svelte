<script lang="ts">
  import { shownNumber } from '../lib/along/local';
  import { gate } from '../lib/along/gate.svelte';
  import Action from '../lib/shell/Action.svelte';
  import { api, outcome, type Problem } from '../lib/api/client';
  import type { Revision } from '../lib/api/api';
  import { moment } from '../lib/sentence/quantity';
  import { FIELD } from '../lib/shell/fieldLook';
  import { session } from '../lib/shell/session.svelte';
  import Trouble from '../lib/shell/Trouble.svelte';
  import type { PlanEditor } from './planEditor.svelte';
  import RevisionsCompared from './RevisionsCompared.svelte';

  /** Who changed what and when; any two compared, any one brought back, named or taken away as a file. */
  let { editor }: { editor: PlanEditor } = $props();

  let revisions = $state.raw<Revision[]>();
  let problem = $state<Problem>();
  let naming = $state<number>();
  let name = $state('');
  const zone = $derived(editor.plan?.site.location.timeZone ?? 'UTC');
  const path = $derived({ siteId: editor.site });

  async function load() {
    const answer = await outcome(api.GET('/api/sites/{siteId}/revisions', { params: { path } }));
    problem = answer.problem;
    if (!answer.data) return;
    revisions = answer.data;
  }

  async function bringBack(number: number) {
    const answer = await outcome(
      api.GET('/api/sites/{siteId}/revisions/{number}', { params: { path: { ...path, number } } }),
    );
    problem = answer.problem;
    if (answer.data) editor.set([], answer.data.plan, () => `as in revision ${shownNumber(number)}`);
  }

  async function giveName(event: SubmitEvent) {
    event.preventDefault();
    if (naming === undefined) return;
    const answer = await outcome(
      api.POST('/api/sites/{siteId}/revisions/{number}/name', {
        params: { path: { ...path, number: naming } },
        body: name.trim() === '' ? {} : { name: name.trim() },
      }),
    );
    problem = answer.problem;
    if (answer.data) {
      naming = undefined;
      await load();
    }
  }

  $effect(() => {
    void gate.sent;
    if (editor.revision) void load();
  });
</script>

<section class="px-4 py-5 md:px-6" aria-labelledby="history">
  <h2 id="history">Revisions</h2>
  {#if problem}<Trouble {problem} retry={load} />{/if}
  {#if !revisions && !problem}<p role="status" class="text-soft">Reading the revisions</p>{/if}
  {#if revisions && revisions.length > 1}
    {#key revisions[0]?.number}<RevisionsCompared site={editor.site} {revisions} />{/key}
  {/if}
  <ol class="mt-4">
    {#each revisions ?? [] as one (one.number)}
      <li class="flex flex-wrap items-start gap-x-4 gap-y-1 border-t border-rule py-2">
        <span class="number w-8 pt-2 font-bold">{shownNumber(one.number)}</span>
        <div class="w-52 pt-2">
          <p class="text-soft">{moment(Date.parse(one.savedAt), zone)}</p>
          <p>{one.author}</p>
        </div>
        <div class="min-w-60 grow basis-0 pt-2">
          {#if one.name}<p class="font-bold">{one.name}</p>{/if}
          {#if one.note}<p>{one.note}</p>{/if}
          {#each one.changes.slice(0, 6) as says, i (i)}<p class="tabular-nums">{says}</p>{/each}
          {#if one.changes.length > 6}<p class="text-soft">and {one.changes.length - 6} more</p>{/if}
          {#if naming === one.number}
            <form class="mt-2 flex flex-wrap gap-2" onsubmit={giveName}>
              <input
                class={FIELD}
                bind:value={name}
                maxlength="120"
                aria-label="Name of revision {shownNumber(one.number)}"
              />
              <Action type="submit">Keep the name</Action>
              <Action onclick={() => (naming = undefined)}>Cancel</Action>
            </form>
          {/if}
          <p class="flex flex-wrap gap-x-4 text-sm">
            <a
              class="flex min-h-11 items-center underline"
              href="/api/sites/{editor.site}/revisions/{one.number}/document"
              download="{editor.site}-{one.number}.json">Document</a
            >
            <a
              class="flex min-h-11 items-center underline"
              href="/api/sites/{editor.site}/revisions/{one.number}/levels.csv"
              download>Levels as table</a
            >
            <a
              class="flex min-h-11 items-center underline"
              href="/api/sites/{editor.site}/revisions/{one.number}/outputs.csv"
              download>Outputs as table</a
            >
          </p>
        </div>
        {#if session.mayChangeAt(editor.site)}
          <div class="flex gap-2">
            <Action
              onclick={() => {
                naming = one.number;
                name = one.name ?? '';
              }}
              aria-label="Name revision {shownNumber(one.number)}">Name…</Action
            >
            {#if one.number !== editor.revision?.number}
              <Action onclick={() => bringBack(one.number)}>Bring back</Action>
            {/if}
          </div>
        {/if}
      </li>
    {/each}
  </ol>
</section>
