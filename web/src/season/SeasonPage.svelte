<script lang="ts">
  import { gate } from '../lib/along/gate.svelte';
  import Frame from '../lib/shell/Frame.svelte';
  import Tabs from '../lib/shell/Tabs.svelte';
  import Trouble from '../lib/shell/Trouble.svelte';
  import { editorOf } from '../plan/editors';
  import SaveState from '../plan/SaveState.svelte';
  import AbsencePart from './AbsencePart.svelte';
  import { runOf } from './run.svelte';
  import TapePart from './TapePart.svelte';
  import YearsPart from './YearsPart.svelte';

  let { params }: { params: { site: string; part?: string } } = $props();

  const editor = $derived(editorOf(params.site));
  const season = $derived(runOf(params.site));
  const plan = $derived(editor.plan);
  const tabs = [
    { key: 'tape', name: 'Tape' },
    { key: 'absence', name: 'Until I am back' },
    { key: 'years', name: 'Years' },
  ];
  const part = $derived(tabs.find((one) => one.key === params.part)?.key ?? 'tape');
</script>

<Frame title={plan?.site.name ?? 'Season'} site={params.site} place="season">
  {#snippet header()}{#if plan}<SaveState {editor} />{/if}{/snippet}
  <Tabs {tabs} {part} address="/site/{params.site}/season" label="Parts of the season" />
  {#if editor.problem}<Trouble problem={editor.problem} retry={() => editor.load()} />{/if}
  {#if !plan}
    {#if !editor.problem}<p class="p-6 text-soft" role="status">Reading the plan</p>{/if}
  {:else if gate.along?.offline && part !== 'tape'}
    <div class="px-4 py-6 md:px-6">
      <p class="text-3xl leading-9 font-bold">This is for the server.</p>
      <p class="mt-3">
        Without a network the <a class="underline" href="#/site/{params.site}/season">tape</a> is run in this browser.
        Years and until I am back go on where they were when the server is there again.
      </p>
    </div>
  {:else if part === 'absence'}
    <AbsencePart {editor} {plan} {season} />
  {:else if part === 'years'}
    <YearsPart {plan} {season} />
  {:else}
    <TapePart {editor} {plan} {season} />
  {/if}
</Frame>
