<svelte:options namespace="svg" />

<script lang="ts">
  import type { Snippet } from 'svelte';

  /** Something on the sketch that can be chosen, by hand or by keys; what has the class `target` in it shows the focus. */
  interface Props {
    id: string;
    label: string;
    /** What a pointer that rests on it is told. */
    title: string;
    pressed: boolean;
    transform?: string;
    act: () => void;
    children: Snippet;
  }
  let { id, label, title, pressed, transform, act, children }: Props = $props();

  function keys(event: KeyboardEvent) {
    if (event.key !== 'Enter' && event.key !== ' ') return;
    event.preventDefault();
    act();
  }
</script>

<g
  {id}
  role="button"
  tabindex="0"
  class="part"
  aria-label={label}
  aria-pressed={pressed}
  {transform}
  onclick={act}
  onkeydown={keys}
>
  <title>{title}</title>
  {@render children()}
</g>

<style>
  .part {
    cursor: pointer;
  }
  .part:hover :global(.target) {
    stroke: var(--rule-strong);
  }
  .part:focus-visible {
    outline: none;
  }
  .part:focus-visible :global(.target) {
    stroke: var(--focus);
    stroke-width: 3;
  }
</style>
