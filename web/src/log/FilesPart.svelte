<script lang="ts">
  import { api, outcome, type Problem } from '../lib/api/client';
  import type { LoggerFileAbout, Plan } from '../lib/api/api';
  import { bytes, Looked } from '../lib/file/fileLook.svelte';
  import FileMapping from '../lib/file/FileMapping.svelte';
  import { day } from '../lib/sentence/quantity';
  import Action from '../lib/shell/Action.svelte';
  import Said from '../lib/shell/Said.svelte';
  import type { Recorded } from './recorded.svelte';

  /** The files of loggers: brought, listed, taken away. */
  interface Props {
    recorded: Recorded;
    plan: Plan;
    readonly: boolean;
    zone: string;
  }
  let { recorded, plan, readonly, zone }: Props = $props();

  const looked = $derived(new Looked(recorded.site, 'LOGGER', zone));
  const contacts = $derived(Object.fromEntries(plan.program.outputs.map((one) => [one.id, one.name])));
  let leaving = $state('');
  let problem = $state.raw<Problem>();

  async function take(file: File, layout: string | undefined): Promise<Problem | undefined> {
    const answer = await outcome(
      api.POST('/api/sites/{siteId}/logger-files', {
        params: { path: { siteId: recorded.site }, query: { name: file.name.slice(0, 120), zone, layout } },
        ...bytes(file),
      }),
    );
    if (answer.data) await recorded.changed();
    return answer.problem;
  }

  async function remove(file: LoggerFileAbout) {
    const answer = await outcome(
      api.DELETE('/api/sites/{siteId}/logger-files/{id}', {
        params: { path: { siteId: recorded.site, id: file.id } },
      }),
    );
    leaving = '';
    problem = answer.problem;
    if (!answer.problem) await recorded.changed();
  }
</script>

<div class="px-4 py-6 md:px-6">
  <p class="text-3xl leading-9 font-bold" role="status">
    {!recorded.files
      ? 'Reading the files'
      : recorded.files.length === 0
        ? 'No file was brought yet.'
        : `${recorded.files.length} ${recorded.files.length === 1 ? 'file' : 'files'}, ${recorded.files.reduce((sum, one) => sum + one.lines, 0)} lines.`}
  </p>
  <ul class="mt-3 max-w-4xl">
    {#each recorded.files ?? [] as file (file.id)}
      <li class="flex flex-wrap items-start gap-x-6 gap-y-1 border-t border-rule py-2">
        <div class="min-w-60 grow">
          <p class="font-bold">{file.name}</p>
          <p class="number">
            {day(file.first, zone)} to {day(file.last, zone)}, {file.lines} lines
          </p>
          {#each file.notes as note (note)}<p class="text-sm text-soft">{note}</p>{/each}
        </div>
        {#if !readonly}
          {#if leaving === file.id}
            <p class="flex flex-wrap items-center gap-3">
              It is gone then, here and for everybody.
              <Action onclick={() => remove(file)}>Take {file.name} away</Action>
              <Action onclick={() => (leaving = '')}>Keep it</Action>
            </p>
          {:else}
            <button
              type="button"
              class="min-h-11 underline"
              aria-label="take away {file.name}"
              onclick={() => (leaving = file.id)}>take away</button
            >
          {/if}
        {/if}
      </li>
    {/each}
  </ul>
  <Said {problem} />
  {#if !readonly}
    <div class="mt-3 border-t border-rule pt-3">
      <FileMapping {looked} {take} {contacts} says="Bring a logger’s file" />
      {#if !looked.file}
        <p class="max-w-3xl text-soft">
          Any table with times and the battery’s voltage; with its current the battery can be fitted, with
          contacts the replay is compared. What overlaps is taken once.
        </p>
      {/if}
    </div>
  {/if}
</div>
