<script lang="ts">
  import Action from './Action.svelte';
  import { singleKeys } from './singleKeys.svelte';
  let { close }: { close: () => void } = $props();
  let dialog = $state<HTMLDialogElement>();

  const keys = [
    ['g then s, p, b, e, h', 'go to Sites, Plan, Bench, Season, Handover'],
    ['/', 'search the sites'],
    ['↑ ↓', 'step the number in focus; with Shift a bigger step'],
    ['Enter', 'type the number; Enter again takes it, Esc leaves it'],
    ['Ctrl+Z, Ctrl+Shift+Z', 'undo, redo'],
    ['Ctrl+S', 'save a new revision'],
    ['← → + − 0', 'on the tape: earlier, later, closer, wider, whole run'],
    ['?', 'this list'],
  ];

  $effect(() => dialog?.showModal());
</script>

<dialog
  bind:this={dialog}
  onclose={close}
  class="m-auto w-[min(32rem,92vw)] border border-rule-strong bg-raised p-6 text-ink backdrop:bg-black/40"
  aria-labelledby="shortcuts"
>
  <h2 id="shortcuts">Shortcuts</h2>
  <dl class="mt-4 grid grid-cols-[auto_1fr] gap-x-6 gap-y-2">
    {#each keys as [key, does] (key)}
      <dt class="number whitespace-nowrap">{key}</dt>
      <dd>{does}</dd>
    {/each}
  </dl>
  <label class="mt-4 flex min-h-11 items-center gap-2">
    <input type="checkbox" class="h-5 w-5" checked={singleKeys.on} onchange={() => singleKeys.toggle()} />
    Letters pressed alone go places (g, /, ?)
  </label>
  <Action class="mt-4" onclick={() => dialog?.close()}>Close</Action>
</dialog>
