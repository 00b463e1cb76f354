<script lang="ts">
  import { shownNumber } from '../lib/along/local';
  import FileChoice from '../lib/shell/FileChoice.svelte';
  import { onMount } from 'svelte';
  import { api, outcome } from '../lib/api/client';
  import type { Revision } from '../lib/api/api';
  import { duration, fixed } from '../lib/sentence/quantity';
  import Action from '../lib/shell/Action.svelte';
  import { FIELD } from '../lib/shell/fieldLook';
  import { shownValue, type Bench } from './bench.svelte';
  import { differences, type Differs } from './differences';
  import DiffersTable from './DiffersTable.svelte';

  /** What was done as a script: kept under a name, played again, on another revision too, and as a test protocol on paper. */
  interface Props {
    bench: Bench;
    names: Record<string, string>;
    mayKeep: boolean;
  }
  let { bench, names, mayKeep }: Props = $props();

  let name = $state('');
  let revisions = $state.raw<Revision[]>([]);
  let against = $state('');
  let differs = $state.raw<Differs[]>();
  const LINK = 'flex min-h-11 items-center text-sm underline';
  const file = $derived(
    `data:application/json;charset=utf-8,${encodeURIComponent(JSON.stringify({ turns: bench.turns }, null, 2))}`,
  );

  onMount(async () => {
    await bench.readKept();
    const answer = await outcome(
      api.GET('/api/sites/{siteId}/revisions', { params: { path: { siteId: bench.site } } }),
    );
    revisions = answer.data ?? [];
  });

  async function keep(event: SubmitEvent) {
    event.preventDefault();
    await bench.keep(name.trim());
    if (!bench.problem) name = '';
  }

  async function takeFile(event: Event & { currentTarget: HTMLInputElement }) {
    const input = event.currentTarget;
    const chosen = input.files?.[0];
    if (!chosen) return;
    try {
      const read = JSON.parse(await chosen.text()) as { turns: typeof bench.turns };
      await bench.take(read.turns);
    } catch (broken) {
      const detail = `${chosen.name} is no script of a bench: ${(broken as Error).message}`;
      bench.problem = { type: 'about:blank', status: 0, detail };
    }
    input.value = '';
  }

  async function compare() {
    const answer = await outcome(
      api.GET('/api/sites/{siteId}/revisions/{number}', {
        params: { path: { siteId: bench.site, number: Number(against) } },
      }),
    );
    bench.problem = answer.problem;
    const there = answer.data && (await bench.eventsOn(answer.data.plan));
    if (there) differs = differences(bench.state?.events ?? [], there);
  }
</script>

<section class="border-t border-rule px-4 py-5 md:px-6" aria-labelledby="script">
  <div class="flex flex-wrap items-center gap-x-5 gap-y-2">
    <h2 id="script" class="grow">Script</h2>
    <a class={LINK} href={file} download="{bench.site}-bench.json">Keep this script as a file</a>
    <span class="text-sm"
      ><FileChoice says="Play a script" accept=".json,application/json" take={takeFile} /></span
    >
    <button class={LINK} onclick={() => window.print()}>Print as a test protocol</button>
  </div>
  {#if mayKeep}
    <form class="no-print mt-2 flex flex-wrap items-end gap-3" onsubmit={keep}>
      <label class="flex flex-col text-sm"
        >name<input
          class={FIELD}
          maxlength="120"
          required
          bind:value={name}
          placeholder="such as: heavy load"
        /></label
      >
      <Action type="submit" disabled={name.trim() === '' || bench.turns.length === 0}>Keep it here</Action>
    </form>
  {/if}
  <ul class="no-print mt-2">
    {#each bench.kept as { script, author } (script.name)}
      <li class="flex flex-wrap items-center gap-x-5 border-t border-rule">
        <span class="grow"
          >{script.name}<span class="text-sm text-soft"
            >, {script.live ? 'live' : 'supply'}, {duration(Math.round(script.seconds))}, by {author}</span
          ></span
        >
        <button class={LINK} onclick={() => bench.take(script.script.turns, script.live, script.seconds)}
          >Play {script.name}</button
        >
        {#if mayKeep}<button class={LINK} onclick={() => bench.forget(script.name)}>Remove</button>{/if}
      </li>
    {/each}
  </ul>
  {#if bench.turns.length > 0}
    <ol class="number mt-3 border-t border-rule pt-2 text-sm" aria-label="Steps">
      {#each bench.turns as turn, i (i)}
        {@const knob = bench.state?.signals.find((one) => one.id === turn.knob)}
        <li>
          {fixed(turn.seconds, 1)} s: {knob?.name ?? turn.knob} to {knob
            ? shownValue(knob, turn.value)
            : turn.value}{turn.overSeconds > 0 ? ` over ${duration(turn.overSeconds)}` : ''}
        </li>
      {/each}
    </ol>
    <div class="no-print mt-3 flex flex-wrap items-end gap-3">
      <label class="flex flex-col text-sm"
        >the same on<select class={FIELD} bind:value={against}>
          <option value="" disabled>a revision</option>
          {#each revisions as rev (rev.number)}<option value={String(rev.number)}
              >revision {shownNumber(rev.number)}{rev.name ? `: ${rev.name}` : ''}</option
            >{/each}
        </select></label
      >
      <Action disabled={against === ''} onclick={compare}>Show what differs</Action>
    </div>
    {#if differs}
      <div class="mt-2" role="status">
        {#if differs.length === 0}
          <p>Nothing differs on revision {against}: the same contacts move at the same instants.</p>
        {:else}
          <DiffersTable {differs} {against} {names} />
        {/if}
      </div>
    {/if}
  {/if}
</section>
