<script lang="ts">
  import Action from '../lib/shell/Action.svelte';
  import { api, outcome, type Problem } from '../lib/api/client';
  import type { ProfilePreview } from '../lib/api/api';
  import { decimal, duration, moment } from '../lib/sentence/quantity';
  import Trouble from '../lib/shell/Trouble.svelte';
  import type { PlanEditor } from './planEditor.svelte';

  let { editor }: { editor: PlanEditor } = $props();

  let file = $state<File>();
  let text = '';
  let preview = $state<ProfilePreview>();
  let problem = $state<Problem>();
  let busy = $state('');
  let chosen = $state('');
  const zone = $derived(editor.plan?.site.location.timeZone ?? 'UTC');
  const loads = $derived(editor.plan?.site.loads ?? []);
  const load = $derived(loads.find((one) => one.id === chosen) ?? loads[0]);
  const body = { bodySerializer: (content: string) => content, headers: { 'Content-Type': 'text/csv' } };

  async function look(event: Event & { currentTarget: HTMLInputElement }) {
    file = event.currentTarget.files?.[0];
    preview = undefined;
    problem = undefined;
    if (!file) return;
    busy = 'Reading the file';
    text = await file.text();
    const answer = await outcome(
      api.POST('/api/reading/{siteId}/profile', {
        params: { path: { siteId: editor.site }, query: { zone } },
        body: text,
        ...body,
      }),
    );
    busy = '';
    preview = answer.data;
    problem = answer.problem;
  }

  async function take() {
    if (!file || !load) return;
    busy = 'Taking the profile';
    const answer = await outcome(
      api.POST('/api/sites/{siteId}/profiles', {
        params: { path: { siteId: editor.site }, query: { name: file.name.slice(0, 120), zone } },
        body: text,
        ...body,
      }),
    );
    busy = '';
    problem = answer.problem;
    if (!answer.data) return;
    const taken = `profile ${file.name} for ${load.name}`;
    const consumption = { kind: 'importedProfile', profile: answer.data.id };
    editor.set(['site', 'loads', load.id, 'consumption'], consumption, () => taken);
    preview = undefined;
    file = undefined;
  }

  const columns = $derived.by(() => {
    const sketch = preview?.found?.sketchWatts ?? [];
    const most = Math.max(1, ...sketch);
    return sketch.map((watts, i) => `M${i} 40V${40 - (watts / most) * 38}`).join('');
  });
</script>

<details
  class="no-print border-t border-rule px-4 pb-3 md:px-6"
  open={loads.some((one) => one.consumption.kind === 'importedProfile') || file !== undefined}
>
  <summary class="opens flex min-h-11 cursor-pointer items-center font-bold"
    >Bring a consumption profile</summary
  >
  <p class="mt-1 max-w-3xl text-soft">
    A CSV file with two columns, time and power. Time in ISO 8601 (without an offset it is local time here, {zone})
    or in seconds; power in W, or in kW if the heading says so; comma, semicolon or tab; with the last two a
    decimal comma may be used.
  </p>
  <Action tag="label" class="mt-3 cursor-pointer"
    >Choose a file<input class="sr-only" type="file" accept=".csv,.txt,text/csv" onchange={look} /></Action
  >
  {#if file}<span class="ml-3">{file.name}</span>{/if}
  {#if busy}<p class="mt-3 text-soft" role="status">{busy}</p>{/if}
  {#if problem}<Trouble {problem} />{/if}
  {#if preview?.found}
    {@const found = preview.found}
    <div class="mt-4 max-w-3xl">
      <svg
        viewBox="0 0 {found.sketchWatts.length} 42"
        class="h-24 w-full bg-raised"
        preserveAspectRatio="none"
        aria-hidden="true"
      >
        <path d={columns} stroke="var(--load)" stroke-width="1" />
      </svg>
      <p class="mt-2">
        <span class="number">{preview.lines}</span> lines
        {#if found.startsAt}from {moment(Date.parse(found.startsAt), zone)}{/if}
        over <span class="number">{decimal(found.spanSeconds / 86400, 2)} d</span>, then again from the start.
        Mean <span class="number">{decimal(found.meanWatts, 1)} W</span>
        (<span class="number">{decimal((found.meanWatts * 24) / 1000, 2)} kWh</span> a day), most
        <span class="number">{decimal(found.highestWatts, 1)} W</span>. Power taken as
        <strong>{preview.kilowatts ? 'kW' : 'W'}</strong>; a line every
        <span class="number">{duration(Math.round(found.spanSeconds / preview.lines))}</span> on average.
      </p>
      <div class="mt-3 flex flex-wrap items-center gap-3">
        <label class="flex items-center gap-2">
          for
          <select class="field" value={load?.id} onchange={(event) => (chosen = event.currentTarget.value)}>
            {#each loads as one (one.id)}<option value={one.id}>{one.name}</option>{/each}
          </select>
        </label>
        <Action main onclick={take}>Take it</Action>
        <Action onclick={() => ((preview = undefined), (file = undefined))}>Cancel</Action>
      </div>
    </div>
  {:else if preview}
    <div class="mt-4 border-l-4 border-danger pl-4" role="alert">
      <p class="font-bold">
        {preview.badLineCount} of {preview.lines + preview.badLineCount} lines cannot be read, so nothing is taken.
      </p>
      <ul class="mt-1">
        {#each preview.badLines as bad (bad.line)}
          <li>line <span class="number">{bad.line}</span>: {bad.reason}</li>
        {/each}
      </ul>
      {#if preview.badLineCount > preview.badLines.length}
        <p>and {preview.badLineCount - preview.badLines.length} more</p>
      {/if}
    </div>
  {/if}
</details>
