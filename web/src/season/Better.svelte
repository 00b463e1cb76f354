<script lang="ts">
  import type { Comparison } from '../lib/api/api';
  import { betterOrWorse } from './better';
  import Icon from '../lib/shell/Icon.svelte';

  /** Says whether the second of two runs is better or worse in a figure. */
  let { figure }: { figure: Comparison['figures'][number] } = $props();

  const says = $derived(betterOrWorse(figure));
</script>

{#if says}
  <span class="font-bold whitespace-nowrap {says === 'worse' ? 'text-danger' : 'text-battery'}"
    ><Icon sign={says === 'worse' ? 'down' : 'up'} /> {says}</span
  >
{/if}
