<script lang="ts">
  import type { Finding } from '../lib/api/api';
  import type { Problem } from '../lib/api/client';
  import { ask } from '../lib/engine/engine';
  import Action from '../lib/shell/Action.svelte';
  import { FIELD } from '../lib/shell/fieldLook';
  import Trouble from '../lib/shell/Trouble.svelte';
  import type { PlanEditor } from './planEditor.svelte';

  /** Leaves a finding as it is, with a reason, or takes that back. */
  let { editor, finding }: { editor: PlanEditor; finding: Finding } = $props();

  const MOST = 300;
  let asking = $state(false);
  let reason = $state('');
  let problem = $state<Problem>();

  async function leave(event: SubmitEvent) {
    event.preventDefault();
    if (!editor.plan || reason.trim() === '') return;
    const { data, problem: refused } = await ask('/api/dismissals/{siteId}', editor.site, {
      plan: editor.plan,
      check: finding.check,
      at: finding.at,
      path: finding.path,
      reason: reason.trim(),
    });
    problem = refused;
    if (data) {
      editor.take(data.plan, `finding accepted: ${reason.trim()}`);
      asking = false;
    }
  }

  function open() {
    const kept = (editor.plan?.program.dismissed ?? []).filter(
      (one) => one.check !== finding.check || one.at !== finding.at || one.path !== finding.path,
    );
    editor.set(['program', 'dismissed'], kept, () => 'finding open again');
  }
</script>

{#if finding.dismissed !== undefined}
  <Action onclick={open}>Open it again</Action>
{:else if asking}
  <form class="mt-2 flex flex-wrap gap-2" onsubmit={leave}>
    <!-- svelte-ignore a11y_autofocus -->
    <input
      class="{FIELD} min-w-72 grow"
      bind:value={reason}
      maxlength={MOST}
      autofocus
      required
      aria-label="Why it is accepted"
      placeholder="Why it is accepted"
    />
    <Action type="submit" disabled={reason.trim() === ''}>Accept it</Action>
    <Action onclick={() => (asking = false)}>Cancel</Action>
  </form>
  {#if problem}<Trouble {problem} />{/if}
{:else}
  <button class="min-h-11 text-sm underline" onclick={() => (asking = true)}>Accept with a reason…</button>
{/if}
