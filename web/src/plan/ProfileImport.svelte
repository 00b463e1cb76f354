<script lang="ts">
  import { api, outcome, type Problem } from '../lib/api/client';
  import { bytes, Looked } from '../lib/file/fileLook.svelte';
  import FileMapping from '../lib/file/FileMapping.svelte';
  import type { PlanEditor } from './planEditor.svelte';

  let { editor }: { editor: PlanEditor } = $props();

  let chosen = $state('');
  const zone = $derived(editor.plan?.site.location.timeZone ?? 'UTC');
  const looked = $derived(new Looked(editor.site, 'CONSUMPTION', zone));
  const loads = $derived(editor.plan?.site.loads ?? []);
  const load = $derived(loads.find((one) => one.id === chosen) ?? loads[0]);

  async function take(file: File, layout: string | undefined): Promise<Problem | undefined> {
    const answer = await outcome(
      api.POST('/api/sites/{siteId}/profiles', {
        params: { path: { siteId: editor.site }, query: { name: file.name.slice(0, 120), zone, layout } },
        ...bytes(file),
      }),
    );
    if (!answer.data || !load) return answer.problem;
    const taken = `profile ${file.name} for ${load.name}`;
    const consumption = { kind: 'importedProfile', profile: answer.data.id };
    editor.set(['site', 'loads', load.id, 'consumption'], consumption, () => taken);
    return undefined;
  }
</script>

<details
  class="no-print border-t border-rule px-4 pb-3 md:px-6"
  open={loads.some((one) => one.consumption.kind === 'importedProfile') || looked.file !== undefined}
>
  <summary class="opens flex min-h-11 cursor-pointer items-center font-bold"
    >Bring a consumption profile</summary
  >
  <p class="mt-1 max-w-3xl text-soft">
    A table with times and power, as a meter or an office writes it; after its last line it begins again.
    Times without an offset are local here, {zone}.
  </p>
  <FileMapping {looked} {take} says="Choose a file">
    {#snippet more()}
      <label class="mt-3 flex items-center gap-2">
        for
        <select class="field" value={load?.id} onchange={(event) => (chosen = event.currentTarget.value)}>
          {#each loads as one (one.id)}<option value={one.id}>{one.name}</option>{/each}
        </select>
      </label>
    {/snippet}
  </FileMapping>
</details>
