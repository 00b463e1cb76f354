<script lang="ts">
  import Frame from '../lib/shell/Frame.svelte';
  import Trouble from '../lib/shell/Trouble.svelte';
  import { partName } from '../lib/shell/parts';
  import FindingLine from '../plan/FindingLine.svelte';
  import { editorOf } from '../plan/planEditor.svelte';
  import SaveState from '../plan/SaveState.svelte';
  import Worked from '../plan/Worked.svelte';
  import EventList from './EventList.svelte';
  import LedgerTable from './LedgerTable.svelte';
  import { seasonOf } from './season.svelte';
  import TapeView from './TapeView.svelte';

  let { params }: { params: { site: string } } = $props();

  const editor = $derived(editorOf(params.site));
  const season = $derived(seasonOf(params.site));
  const plan = $derived(editor.plan);
  const disconnects = $derived(
    (plan?.program.outputs ?? []).filter((one) => one.protection?.kind === 'voltageDisconnect'),
  );
  let chosen = $state<string>();
  const shown = $derived(chosen ?? disconnects[0]?.id);
</script>

<Frame title={plan?.site.name ?? 'Season'} site={params.site} place="season">
  {#snippet header()}{#if plan}<SaveState {editor} />{/if}{/snippet}

  {#if editor.problem}<Trouble problem={editor.problem} retry={() => editor.load()} />{/if}
  {#if !plan}
    {#if !editor.problem}<p class="p-6 text-soft" role="status">Reading the plan</p>{/if}
  {:else}
    <TapeView {editor} {season} output={shown} />
    {#if disconnects.length > 1}
      <label class="flex items-center gap-2 px-6 pb-3 text-sm">
        Thresholds of
        <select class="field" value={shown} onchange={(event) => (chosen = event.currentTarget.value)}>
          {#each disconnects as one (one.id)}<option value={one.id}>{one.name}</option>{/each}
        </select>
      </label>
    {/if}
    {#if season.answer}
      <div
        class="grid grid-cols-1 gap-x-8 border-t border-rule px-4 py-5 md:px-6 xl:grid-cols-[minmax(0,1.4fr)_minmax(22rem,1fr)]"
      >
        {#if season.answer.findings.length > 0}
          <section class="mb-6 xl:col-span-2" aria-labelledby="shown">
            <h2 id="shown">What the run shows</h2>
            {#each season.answer.findings as finding, i (i)}
              <FindingLine {finding} at={partName(plan, finding.at)} />
            {/each}
          </section>
        {/if}
        {#if season.answer.floor}
          <section class="mb-6 xl:col-span-2" aria-label="Worked out from the run">
            <Worked {editor} workings={[season.answer.floor]} readonly />
          </section>
        {/if}
        <EventList answer={season.answer} {plan} {season} />
        <LedgerTable answer={season.answer} {plan} />
      </div>
    {/if}
  {/if}
</Frame>
