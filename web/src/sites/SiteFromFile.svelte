<script lang="ts">
  import { push } from 'svelte-spa-router';
  import { api, outcome, type Problem } from '../lib/api/client';
  import { bytes } from '../lib/file/fileLook.svelte';
  import FileChoice from '../lib/shell/FileChoice.svelte';
  import { session } from '../lib/shell/session.svelte';
  import Trouble from '../lib/shell/Trouble.svelte';

  /** A site from a plan document, or all of one as another Sparen had it. */
  let busy = $state('');
  let broken = $state<Problem>();

  async function take(event: Event & { currentTarget: HTMLInputElement }) {
    const file = event.currentTarget.files?.[0];
    if (!file) return;
    const input = event.currentTarget;
    busy = 'Reading the document';
    const answer = await outcome(
      api.POST('/api/sites/documents', {
        body: (await file.text()) as never,
        bodySerializer: (content: unknown) => String(content),
        headers: { 'Content-Type': 'application/json' },
      }),
    );
    busy = '';
    // Emptied, so that the same file can be chosen again once it is mended.
    input.value = '';
    broken = answer.problem;
    if (answer.data) await push(`/site/${answer.data.id}/plan`);
  }

  async function open(event: Event & { currentTarget: HTMLInputElement }) {
    const file = event.currentTarget.files?.[0];
    if (!file) return;
    const input = event.currentTarget;
    busy = 'Opening the bundle';
    const { body, ...zipped } = bytes(file, 'application/zip');
    const answer = await outcome(api.POST('/api/sites/bundles', { ...zipped, body: body as never }));
    busy = '';
    input.value = '';
    broken = answer.problem;
    if (answer.data) await push(`/site/${answer.data.id}/plan`);
  }
</script>

<section class="max-w-3xl border-t border-rule px-4 py-5 md:px-6" aria-labelledby="document">
  <h2 id="document">Or from a document</h2>
  <FileChoice says="Choose a plan document (JSON)" accept=".json,application/json" {take} />
  {#if session.administers}
    <p>
      <FileChoice says="Open a site that came as a bundle (zip)" accept=".zip,application/zip" take={open} />
    </p>
    <p class="max-w-2xl text-sm text-soft">
      All of a site as another Sparen had it. People it names who are not here are made, and may not sign in.
    </p>
  {/if}
  <p role="status" class="text-soft">{busy}</p>
  {#if broken}<Trouble problem={broken} />{/if}
</section>
