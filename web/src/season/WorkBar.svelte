<script lang="ts">
  import Action from '../lib/shell/Action.svelte';
  import Trouble from '../lib/shell/Trouble.svelte';
  import type { LongWork } from './work.svelte';

  /** How far long work is, and a way to stop it. Short work shows nothing. */
  let { work, what, retry }: { work: LongWork; what: string; retry?: () => void } = $props();

  const percent = $derived(Math.round((work.now?.work.progress ?? 0) * 100));
  const before = $derived(work.now?.work.before ?? 0);
  let shows = $state(false);
  // Each look at it is a new one; only whether it goes on begins the wait anew.
  const running = $derived(work.running);

  $effect(() => {
    if (!running) {
      shows = false;
      return;
    }
    const soon = setTimeout(() => (shows = true), 350);
    return () => clearTimeout(soon);
  });
</script>

<div class="no-print" data-work={work.now?.work.state ?? 'NONE'}>
  {#if shows && running}
    <div class="pointer-events-auto flex items-center gap-4" role="status">
      <label class="flex grow items-center gap-3 text-sm">
        <span class="shrink-0"
          >{what}{work.now?.work.state === 'WAITING'
            ? before > 0
              ? `, waits for ${before} before it`
              : ', waits'
            : ''}</span
        >
        <progress class="h-3 w-full" value={percent} max="100"></progress>
        <span class="number w-12 shrink-0 text-right">{percent} %</span>
      </label>
      <Action onclick={() => work.cancel()}>Cancel</Action>
    </div>
  {:else if work.now?.work.state === 'CANCELLED'}
    <p class="pointer-events-auto flex min-h-11 items-center gap-4 text-sm" role="status">
      Cancelled at {percent} %.{work.done ? ' What is shown is the last that was done.' : ''}
      {#if retry}<Action onclick={retry}>Again</Action>{/if}
    </p>
  {/if}
  {#if work.problem}<div class="pointer-events-auto">
      <Trouble problem={work.problem} {...retry ? { retry } : {}} />
    </div>{/if}
</div>
