<script lang="ts">
  import type { Snippet } from 'svelte';
  import type { WeatherFileAbout } from '../lib/api/api';
  import type { Conditions } from './conditions.svelte';
  import Icon from '../lib/shell/Icon.svelte';

  /** The conditions of a run in one line, which opens to change them. */
  interface Props {
    asked: Conditions;
    files?: WeatherFileAbout[];
    /** Of another run on the same days: these are not said again. */
    otherwise?: boolean;
    children: Snippet;
  }
  let { asked, files = [], otherwise = false, children }: Props = $props();
</script>

<details class="no-print conditions min-w-0 grow">
  <summary
    class="flex min-h-11 cursor-pointer items-center gap-2"
    title="Change days, weather, battery or load"
  >
    <span class="min-w-0">{otherwise ? asked.saysOtherwise(files) : asked.says(files)}</span>
    <Icon sign="opens" />
  </summary>
  <div class="grid gap-4 pb-4">{@render children()}</div>
</details>

<style>
  summary:hover span {
    text-decoration: underline;
    text-underline-offset: 4px;
  }
  details[open] > summary :global(svg) {
    transform: rotate(180deg);
  }
</style>
