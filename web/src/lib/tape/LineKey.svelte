<script lang="ts">
  import type { Snippet } from 'svelte';

  /** Whose a line on the tape is, drawn as that line is. */
  let { line, children }: { line: 'first' | 'second' | 'recorded'; children: Snippet } = $props();
</script>

<span class="ml-4"><i class={line}></i>{@render children()}</span>

<style>
  i {
    display: inline-block;
    width: 1.4rem;
    margin-right: 0.35rem;
    border-top: 2px solid var(--battery);
    vertical-align: middle;
  }
  .recorded {
    border-top-color: var(--ink);
  }
  .second {
    border-top: 2px dashed var(--load);
  }
</style>
