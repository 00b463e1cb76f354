<script lang="ts">
  import Action from '../lib/shell/Action.svelte';
  import { duration } from '../lib/sentence/quantity';
  import type { Spans } from './spans.svelte';
  import Icon from '../lib/shell/Icon.svelte';

  /** Closer, wider, earlier, later, the whole run. */
  let { spans, hovered }: { spans: Spans; hovered?: string | undefined } = $props();
</script>

<div class="no-print flex grow flex-wrap items-center gap-2">
  <Action onclick={() => spans.zoom(0.5)} aria-label="Closer"><Icon sign="closer" /></Action>
  <Action onclick={() => spans.zoom(2)} disabled={!spans.chosen} aria-label="Wider"
    ><Icon sign="wider" /></Action
  >
  <Action onclick={() => spans.pan(-0.5)} disabled={!spans.chosen} aria-label="Earlier"
    ><Icon sign="earlier" /></Action
  >
  <Action onclick={() => spans.pan(0.5)} disabled={!spans.chosen} aria-label="Later"
    ><Icon sign="later" /></Action
  >
  <Action onclick={() => spans.show(undefined)} disabled={!spans.chosen}>Whole run</Action>
  <p class="number ml-auto text-sm text-soft" aria-live="off">
    {hovered ?? `${duration(Math.round(spans.shown.to - spans.shown.from))} shown`}
  </p>
</div>
