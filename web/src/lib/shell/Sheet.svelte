<script lang="ts">
  import type { Snippet } from 'svelte';

  /**
   * What slides over a picture with the numbers of what was chosen in it: from a side, on a phone from below. It takes the focus when it
   * opens; Esc and its button close it.
   */
  interface Props {
    label: string;
    /** On the side away from what was chosen, so that that stays in view. */
    side: 'left' | 'right';
    close: () => void;
    children: Snippet;
  }
  let { label, side, close, children }: Props = $props();

  function keys(event: KeyboardEvent) {
    if (event.key !== 'Escape' || event.defaultPrevented) return;
    event.preventDefault();
    event.stopPropagation();
    close();
  }
</script>

<!-- svelte-ignore a11y_no_noninteractive_element_interactions -->
<aside
  class="sheet z-30 overflow-y-auto border-rule-strong bg-raised px-4 pb-6 md:px-5 {side}"
  aria-label={label}
  onkeydown={keys}
>
  <div class="sticky top-0 z-10 -mx-4 mb-1 flex items-center justify-between bg-raised px-4 md:-mx-5 md:px-5">
    <span class="grip" aria-hidden="true"></span>
    <button class="ml-auto min-h-11 underline-offset-4 hover:underline" onclick={close}>Close</button>
  </div>
  {@render children()}
</aside>

<style>
  .sheet {
    position: fixed;
    inset: auto 0 0 0;
    max-height: 72vh;
    border-top-width: 2px;
  }
  .grip {
    position: absolute;
    left: 50%;
    top: 8px;
    width: 44px;
    height: 4px;
    margin-left: -22px;
    border-radius: 2px;
    background: var(--rule-strong);
  }
  @media (min-width: 768px) {
    .sheet {
      position: sticky;
      top: 0;
      height: 100%;
      max-height: 100vh;
      width: 27rem;
      border-top-width: 0;
    }
    .sheet.right {
      margin-left: auto;
      border-left-width: 2px;
    }
    .sheet.left {
      border-right-width: 2px;
    }
    .grip {
      display: none;
    }
  }
</style>
