<script lang="ts">
  import { onMount } from 'svelte';
  import { api, outcome } from '../lib/api/client';
  import type { Plan, WeatherFileAbout } from '../lib/api/api';
  import type { PlanEditor } from '../plan/planEditor.svelte';
  import ByHandPart from './ByHandPart.svelte';
  import ConditionsForm from './ConditionsForm.svelte';
  import ConditionsLine from './ConditionsLine.svelte';
  import Months from './Months.svelte';
  import Otherwise from './Otherwise.svelte';
  import type { SeasonRun } from './run.svelte';
  import WeatherFiles from './WeatherFiles.svelte';

  /** When a season is run, in what weather and with what battery, load and hands: a line that opens. */
  let { editor, plan, season }: { editor: PlanEditor; plan: Plan; season: SeasonRun } = $props();

  const asked = $derived(season.asked);
  let files = $state.raw<WeatherFileAbout[]>([]);

  onMount(async () => {
    const answer = await outcome(
      api.GET('/api/sites/{siteId}/weather-files', { params: { path: { siteId: season.site } } }),
    );
    files = answer.data ?? [];
  });
</script>

<ConditionsLine {asked} {files}>
  <ConditionsForm {asked} {files} moved={() => season.spans.show(undefined)} />
  <Otherwise {asked} />
  {#if editor.reading?.requests.length}
    <ByHandPart {asked} {plan} requests={editor.reading.requests} />
  {/if}
  {#if asked.weather === 'PLACE'}
    <Months {asked} site={season.site} latitude={plan.site.location.latitudeDegrees} />
  {/if}
  <WeatherFiles
    site={season.site}
    zone={plan.site.location.timeZone}
    taken={(file) => {
      files = [file, ...files.filter((one) => one.id !== file.id)];
      asked.weather = file.id;
    }}
  />
</ConditionsLine>
