<script lang="ts">
  import { FILLED, LINES, type Sign } from './icons';

  /** A sign of ours, as large as the words beside it; nobody who hears a page is told of it. */
  let { sign, class: look = '' }: { sign: Sign; class?: string } = $props();

  const area = $derived(sign in FILLED ? FILLED[sign as keyof typeof FILLED] : undefined);
  const lines = $derived(sign in LINES ? LINES[sign as keyof typeof LINES] : undefined);
</script>

<svg viewBox="0 0 16 16" class="inline-block size-[0.95em] shrink-0 align-[-0.1em] {look}" aria-hidden="true">
  {#if area}<path d={area} fill="currentColor" />{/if}
  {#if lines}<path d={lines} fill="none" stroke="currentColor" stroke-width="1.8" />{/if}
</svg>
