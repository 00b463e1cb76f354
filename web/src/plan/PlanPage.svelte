<script lang="ts">
  import Action from '../lib/shell/Action.svelte';
  import Gauge from '../lib/gauge/Gauge.svelte';
  import Frame from '../lib/shell/Frame.svelte';
  import { session } from '../lib/shell/session.svelte';
  import Trouble from '../lib/shell/Trouble.svelte';
  import { seasonOf } from '../season/season.svelte';
  import TapeView from '../season/TapeView.svelte';
  import Conflict from './Conflict.svelte';
  import { partName } from '../lib/shell/parts';
  import Facts from './Facts.svelte';
  import FindingLine from './FindingLine.svelte';
  import History from './History.svelte';
  import OutputCard from './OutputCard.svelte';
  import { editorOf } from './planEditor.svelte';
  import ProfileImport from './ProfileImport.svelte';
  import SaveState from './SaveState.svelte';
  import Worked from './Worked.svelte';

  let { params }: { params: { site: string } } = $props();

  const editor = $derived(editorOf(params.site));
  const season = $derived(seasonOf(params.site));
  const plan = $derived(editor.plan);
  const workings = $derived(editor.reading?.workings ?? []);
  const ofSite = $derived(workings.filter((one) => !one.path.startsWith('program/outputs/')));
  const elsewhere = $derived(
    (editor.reading?.findings ?? []).filter(
      (one) => !plan?.program.outputs.some((output) => output.id === one.at),
    ),
  );
  let focused = $state<string>();
  const shown = $derived(focused ?? plan?.program.outputs[0]?.id);
</script>

<Frame title={plan?.site.name ?? 'Plan'} site={params.site} place="plan">
  {#snippet header()}{#if plan}<SaveState {editor} />{/if}{/snippet}

  {#if editor.saveProblem}<Trouble problem={editor.saveProblem} retry={() => editor.save()} />{/if}
  {#if editor.problem}<Trouble problem={editor.problem} retry={() => editor.load()} />{/if}
  <Conflict {editor} />
  {#if editor.restored && editor.dirty}
    <div
      class="m-4 flex flex-wrap items-center gap-4 border-l-4 border-ink bg-raised p-3 md:m-6"
      role="status"
    >
      <p class="grow">Unsaved changes from before are back.</p>
      <Action onclick={() => editor.discard()}>Discard them</Action>
    </div>
  {/if}
  {#if !plan}
    {#if !editor.problem}<p class="p-6 text-soft" role="status">Reading the plan</p>{/if}
  {:else}
    <div class="grid grid-cols-1 xl:grid-cols-[minmax(30rem,1fr)_minmax(0,1.05fr)]">
      <section aria-label="Outputs">
        {#if elsewhere.length > 0}
          <div class="border-b border-rule px-4 pt-3 pb-4 md:px-6" aria-labelledby="site-findings">
            <h2 id="site-findings">Findings at the site</h2>
            {#each elsewhere as finding, i (i)}
              <FindingLine
                {finding}
                at={partName(plan, finding.at)}
                editor={session.mayChange ? editor : undefined}
              />
            {/each}
          </div>
        {/if}
        {#each plan.program.outputs as output, index (output.id)}
          <OutputCard
            {editor}
            {output}
            {index}
            reading={editor.reading?.outputs.find((one) => one.output === output.id)}
            findings={(editor.reading?.findings ?? []).filter((one) => one.at === output.id)}
            workings={workings.filter((one) => one.path.startsWith(`program/outputs/${output.id}/`))}
            readonly={!session.mayChange}
            focus={() => (focused = output.id)}
          />
        {:else}
          <p class="p-6">No output is programmed here yet.</p>
        {/each}
      </section>
      <aside
        class="border-rule xl:sticky xl:top-0 xl:h-screen xl:overflow-y-auto xl:border-l"
        aria-label="What it does"
      >
        <TapeView {editor} {season} output={shown} compact />
        <h2 class="px-4 pt-2 md:px-6">Levels</h2>
        <div class="mx-auto max-w-xl px-4 pb-6">
          <Gauge {plan} readings={editor.reading?.outputs ?? []} emphasised={shown} />
        </div>
      </aside>
    </div>
    <section class="border-t border-rule" aria-labelledby="facts">
      <h2 id="facts" class="px-4 pt-5 md:px-6">What stands here</h2>
      <Facts {plan} />
    </section>
    {#if ofSite.length > 0}
      <section class="border-t border-rule px-4 pb-4 md:px-6" aria-labelledby="worked">
        <h2 id="worked" class="pt-5 pb-2">Worked out</h2>
        <div class="max-w-3xl"><Worked {editor} workings={ofSite} readonly={!session.mayChange} /></div>
      </section>
    {/if}
    {#if session.mayChange}<ProfileImport {editor} />{/if}
    <History {editor} />
  {/if}
</Frame>
