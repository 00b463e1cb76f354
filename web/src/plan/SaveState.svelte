<script lang="ts">
  import { isLocal, shownNumber } from '../lib/along/local';
  import Action from '../lib/shell/Action.svelte';
  import { session } from '../lib/shell/session.svelte';
  import type { PlanEditor } from './planEditor.svelte';

  /** Revision, what is unsaved, and the buttons that go with it. */
  let { editor }: { editor: PlanEditor } = $props();

  const TYPED = 'textarea, input:not([type="checkbox"], [type="radio"], [type="range"], [type="file"])';

  function keys(event: KeyboardEvent) {
    if (!(event.ctrlKey || event.metaKey) || !session.mayChangeAt(editor.site)) return;
    const key = event.key.toLowerCase();
    // In a field, undo is what the browser makes of it: the words that were typed, not the plan.
    const typing = (event.target as HTMLElement).matches(TYPED);
    if (key === 's') {
      event.preventDefault();
      void editor.save();
    } else if (key === 'z' && !typing) {
      event.preventDefault();
      if (event.shiftKey) editor.redo();
      else editor.undo();
    }
  }

  function toRefusals() {
    const told = document.getElementById('refused');
    told?.scrollIntoView({ block: 'center' });
    told?.querySelector('button')?.focus();
  }

  const clock = (instant: string) => new Date(instant).toLocaleTimeString('en-GB', { timeStyle: 'short' });

  function leaving(event: BeforeUnloadEvent) {
    if (editor.saving === 'saving') event.preventDefault();
  }
</script>

<svelte:window onkeydown={keys} onbeforeunload={leaving} />

<div class="ml-auto flex flex-wrap items-center gap-2 max-md:gap-1">
  <p class="text-sm md:mr-2" role="status">
    {#if editor.revision}
      <span class="max-md:sr-only">revision&nbsp;</span><span class="number"
        >{shownNumber(editor.revision.number)}</span
      >{#if session.mayChangeAt(editor.site)}:
        {#if editor.saving === 'saving'}saving
        {:else if editor.dirty}<span class="font-bold">unsaved changes</span
          >{#if editor.keeping === 'failed'},
            <span class="text-danger">kept in this browser only</span>
          {:else if editor.keptAt}, kept at {clock(editor.keptAt)}{/if}
        {:else if isLocal(editor.revision.number)}saved here, waits to be sent
        {:else}saved{/if}
      {:else}, read only{/if}
    {/if}
  </p>
  {#if session.mayChangeAt(editor.site)}
    <Action
      disabled={!editor.canUndo}
      class={editor.canUndo ? '' : 'max-md:hidden'}
      onclick={() => editor.undo()}
      title={editor.lastStep}>Undo</Action
    >
    <Action
      disabled={!editor.canRedo}
      class={editor.canRedo ? '' : 'max-md:hidden'}
      onclick={() => editor.redo()}>Redo</Action
    >
    {#if editor.refused.length > 0}
      <button class="min-h-11 font-bold text-danger underline" onclick={toRefusals}
        >{editor.refused.length === 1 ? '1 field stops' : `${editor.refused.length} fields stop`} saving</button
      >
    {/if}
    <Action
      main
      class={editor.dirty ? '' : 'max-md:hidden'}
      disabled={!editor.dirty || editor.saving === 'saving' || editor.refused.length > 0}
      onclick={() => editor.save()}>Save revision</Action
    >
  {/if}
</div>
