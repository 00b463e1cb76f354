<script lang="ts">
  import type { Snippet } from 'svelte';
  import type { Spans } from './spans.svelte';

  /** The pictures of a tape as one thing that the keyboard moves: arrows, plus and minus, 0 for the whole run. */
  interface Props {
    spans: Spans;
    /** How long the last look took (ms). */
    took: number;
    /** Of which run the pictures are, and what of it they show (s). */
    run?: string;
    from?: number;
    to?: number;
    children: Snippet;
  }
  let { spans, took, run, from, to, children }: Props = $props();

  function keys(event: KeyboardEvent) {
    const act: Record<string, () => void> = {
      ArrowLeft: () => spans.pan(-0.25),
      ArrowRight: () => spans.pan(0.25),
      '+': () => spans.zoom(0.5),
      '-': () => spans.zoom(2),
      '0': () => spans.show(undefined),
    };
    const chosen = act[event.key];
    if (!chosen || event.ctrlKey || event.metaKey || event.target !== event.currentTarget) return;
    event.preventDefault();
    chosen();
  }
</script>

<!-- svelte-ignore a11y_no_noninteractive_tabindex, a11y_no_noninteractive_element_interactions -->
<div
  class="mt-2"
  role="group"
  tabindex="0"
  aria-label="Tape of the simulated run; arrow keys move, plus and minus zoom, 0 shows the whole run"
  data-took={Math.round(took)}
  data-run={run}
  data-from={from}
  data-to={to}
  onkeydown={keys}
>
  {@render children()}
</div>
