<script lang="ts">
  import { api, outcome, type Problem } from '../lib/api/client';
  import type { WeatherFileAbout } from '../lib/api/api';
  import FileChoice from '../lib/shell/FileChoice.svelte';
  import Trouble from '../lib/shell/Trouble.svelte';

  /** Takes a weather file in, whole or not at all. */
  interface Props {
    site: string;
    zone: string;
    taken: (file: WeatherFileAbout) => void;
  }
  let { site, zone, taken }: Props = $props();

  let busy = $state('');
  let problem = $state<Problem>();
  const bad = $derived((problem?.badLines ?? []) as { line: number; reason: string }[]);

  async function take(event: Event & { currentTarget: HTMLInputElement }) {
    const input = event.currentTarget;
    const file = input.files?.[0];
    if (!file) return;
    busy = `Reading ${file.name}`;
    const answer = await outcome(
      api.POST('/api/sites/{siteId}/weather-files', {
        params: { path: { siteId: site }, query: { name: file.name.slice(0, 120), zone } },
        body: await file.text(),
        bodySerializer: (content: string) => content,
        headers: { 'Content-Type': 'text/csv' },
      }),
    );
    busy = '';
    input.value = '';
    problem = answer.problem;
    if (answer.data) taken(answer.data);
  }
</script>

<FileChoice
  says="Bring a weather file: EPW, or CSV with time, ghi and temperature"
  accept=".epw,.csv,.txt,text/csv"
  {take}
/>
{#if busy}<p class="text-sm text-soft" role="status">{busy}</p>{/if}
{#if problem}
  <Trouble {problem} />
  {#each bad as line (line.line)}
    <p class="text-sm">line <span class="number">{line.line}</span>: {line.reason}</p>
  {/each}
{/if}
