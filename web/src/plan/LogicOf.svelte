<script lang="ts">
  import { shownNumber } from '../lib/along/local';
  import { onMount } from 'svelte';
  import { api, outcome, type Problem } from '../lib/api/client';
  import type { Output } from '../lib/api/api';
  import Trouble from '../lib/shell/Trouble.svelte';
  import type { PlanEditor } from './planEditor.svelte';

  /** The logic of an output as structured text, of the revision that is saved. */
  let { editor, output }: { editor: PlanEditor; output: Output } = $props();

  const number = $derived(editor.revision?.number ?? 0);
  let text = $state<string>();
  let problem = $state<Problem>();

  async function load() {
    const answer = await outcome(
      api.GET('/api/sites/{siteId}/revisions/{number}/logic/{output}', {
        params: { path: { siteId: editor.site, number, output: output.id } },
        parseAs: 'text',
      }),
    );
    text = answer.data;
    problem = answer.problem;
  }

  onMount(load);
</script>

<div class="mt-2 border-l-4 border-ink bg-raised p-3">
  <p class="text-sm text-soft">
    Structured text (IEC 61131-3) for a programmable relay, of revision <span class="number"
      >{shownNumber(number)}</span
    >{editor.dirty ? ', without what is unsaved' : ''}.
    <a class="underline" href="/api/sites/{editor.site}/revisions/{number}/logic/{output.id}" download
      >Download</a
    >
  </p>
  {#if problem}<Trouble {problem} retry={load} />{/if}
  {#if text}
    <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
    <pre
      class="mt-2 max-h-72 overflow-auto font-mono text-xs"
      tabindex="0"
      aria-label="Logic of {output.name}">{text}</pre>
  {:else if !problem}<p role="status">Writing the logic</p>{/if}
</div>
