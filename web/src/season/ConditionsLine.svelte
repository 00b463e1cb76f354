<script lang="ts">
  import type { Snippet } from 'svelte';
  import type { WeatherFileAbout } from '../lib/api/api';
  import type { Conditions } from './conditions.svelte';

  /** The conditions of a run in one line, which opens to change them. */
  interface Props {
    asked: Conditions;
    files?: WeatherFileAbout[];
    children: Snippet;
  }
  let { asked, files = [], children }: Props = $props();
</script>

<details class="no-print conditions min-w-0 grow">
  <summary
    class="flex min-h-11 cursor-pointer items-center gap-2"
    title="Change days, weather, battery or load"
  >
    <span class="min-w-0">{asked.says(files)}</span>
    <svg viewBox="0 0 12 8" class="size-3 shrink-0" aria-hidden="true"
      ><path d="M1 1.5l5 5 5-5" fill="none" stroke="currentColor" stroke-width="1.8" /></svg
    >
  </summary>
  <div class="grid gap-4 pb-4">{@render children()}</div>
</details>

<style>
  summary:hover span {
    text-decoration: underline;
    text-underline-offset: 4px;
  }
  details[open] > summary svg {
    transform: rotate(180deg);
  }
</style>
