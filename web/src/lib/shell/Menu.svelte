<script lang="ts">
  import { tick, type Snippet } from 'svelte';
  import Icon from './Icon.svelte';

  /** Acts of second rank behind one button; Esc, a press outside and an act close it. */
  let { label, children }: { label: string; children: Snippet } = $props();

  let open = $state(false);
  let place = $state<HTMLElement>();
  let button = $state<HTMLButtonElement>();

  async function show() {
    open = !open;
    await tick();
    if (open) place?.querySelector<HTMLElement>('[data-menu] button, [data-menu] a')?.focus();
  }

  function keys(event: KeyboardEvent) {
    if (!open || event.key !== 'Escape') return;
    event.preventDefault();
    event.stopPropagation();
    open = false;
    button?.focus();
  }
</script>

<svelte:window
  onpointerdown={(event) => {
    if (open && !place?.contains(event.target as Node)) open = false;
  }}
/>

<!-- svelte-ignore a11y_no_static_element_interactions -->
<div bind:this={place} class="relative" onkeydown={keys}>
  <button
    bind:this={button}
    class="flex size-11 items-center justify-center"
    aria-label={label}
    aria-expanded={open}
    onclick={show}><Icon sign="more" class="size-5" /></button
  >
  {#if open}
    <!-- svelte-ignore a11y_click_events_have_key_events -->
    <div
      data-menu
      class="absolute right-0 z-20 grid min-w-52 border border-rule-strong bg-raised py-1"
      onclick={() => (open = false)}
    >
      {@render children()}
    </div>
  {/if}
</div>
