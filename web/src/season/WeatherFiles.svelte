<script lang="ts">
  import { api, outcome, type Problem } from '../lib/api/client';
  import type { WeatherFileAbout } from '../lib/api/api';
  import { bytes, Looked } from '../lib/file/fileLook.svelte';
  import FileMapping from '../lib/file/FileMapping.svelte';

  /** Takes a weather file in, whole or not at all. */
  interface Props {
    site: string;
    zone: string;
    taken: (file: WeatherFileAbout) => void;
  }
  let { site, zone, taken }: Props = $props();

  const looked = $derived(new Looked(site, 'WEATHER', zone));

  async function take(file: File, layout: string | undefined): Promise<Problem | undefined> {
    const answer = await outcome(
      api.POST('/api/sites/{siteId}/weather-files', {
        params: { path: { siteId: site }, query: { name: file.name.slice(0, 120), zone, layout } },
        ...bytes(file),
      }),
    );
    if (answer.data) taken(answer.data);
    return answer.problem;
  }
</script>

<FileMapping {looked} {take} says="Bring a weather file: EPW, or a table with times, light and temperature" />
