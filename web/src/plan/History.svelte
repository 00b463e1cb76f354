<script lang="ts">
  import Action from '../lib/shell/Action.svelte';
  import { api, outcome, type Problem } from '../lib/api/client';
  import type { Revision } from '../lib/api/api';
  import { moment } from '../lib/sentence/quantity';
  import { session } from '../lib/shell/session.svelte';
  import Trouble from '../lib/shell/Trouble.svelte';
  import type { PlanEditor } from './planEditor.svelte';

  let { editor }: { editor: PlanEditor } = $props();

  let revisions = $state.raw<Revision[]>([]);
  let problem = $state<Problem>();
  const zone = $derived(editor.plan?.site.location.timeZone ?? 'UTC');

  async function load() {
    const answer = await outcome(
      api.GET('/api/sites/{siteId}/revisions', { params: { path: { siteId: editor.site } } }),
    );
    problem = answer.problem;
    if (answer.data) revisions = answer.data;
  }

  async function bringBack(number: number) {
    const answer = await outcome(
      api.GET('/api/sites/{siteId}/revisions/{number}', {
        params: { path: { siteId: editor.site, number } },
      }),
    );
    problem = answer.problem;
    if (answer.data) editor.set([], answer.data.plan, () => `as in revision ${number}`);
  }

  $effect(() => {
    if (editor.revision) void load();
  });
</script>

<section class="border-t border-rule px-4 py-5 md:px-6" aria-labelledby="history">
  <h2 id="history">Revisions</h2>
  {#if problem}<Trouble {problem} retry={load} />{/if}
  <ol class="mt-2">
    {#each revisions as one (one.number)}
      <li class="flex flex-wrap items-center gap-x-4 border-b border-rule py-2">
        <span class="number w-8 font-bold">{one.number}</span>
        <span class="w-52 text-soft">{moment(Date.parse(one.savedAt), zone)}</span>
        <span class="w-40">{one.author}</span>
        <span class="min-w-0 grow">{one.note}</span>
        <a
          class="flex min-h-11 items-center underline"
          href="/api/sites/{editor.site}/revisions/{one.number}/document"
          download="{editor.site}-{one.number}.json">Document</a
        >
        {#if session.mayChange && one.number !== editor.revision?.number}
          <Action onclick={() => bringBack(one.number)}>Bring back</Action>
        {/if}
      </li>
    {/each}
  </ol>
</section>
