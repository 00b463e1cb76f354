<script lang="ts">
  import Frame from '../lib/shell/Frame.svelte';
  import Tabs from '../lib/shell/Tabs.svelte';
  import Trouble from '../lib/shell/Trouble.svelte';
  import { editorOf } from '../plan/planEditor.svelte';
  import SaveState from '../plan/SaveState.svelte';
  import AbsencePart from './AbsencePart.svelte';
  import ComparePart from './ComparePart.svelte';
  import { runOf } from './run.svelte';
  import TapePart from './TapePart.svelte';
  import YearsPart from './YearsPart.svelte';

  let { params }: { params: { site: string; part?: string } } = $props();

  const editor = $derived(editorOf(params.site));
  const season = $derived(runOf(params.site));
  const plan = $derived(editor.plan);
  const part = $derived(params.part ?? 'tape');
  const tabs = [
    { key: 'tape', name: 'Tape' },
    { key: 'absence', name: 'Until I am back' },
    { key: 'compare', name: 'Compare' },
    { key: 'years', name: 'Years' },
  ];
</script>

<Frame title={plan?.site.name ?? 'Season'} site={params.site} place="season">
  {#snippet header()}{#if plan}<SaveState {editor} />{/if}{/snippet}
  <Tabs {tabs} {part} address="/site/{params.site}/season" label="Parts of the season" />
  {#if editor.problem}<Trouble problem={editor.problem} retry={() => editor.load()} />{/if}
  {#if !plan}
    {#if !editor.problem}<p class="p-6 text-soft" role="status">Reading the plan</p>{/if}
  {:else if part === 'absence'}
    <AbsencePart {editor} {plan} {season} />
  {:else if part === 'compare'}
    <ComparePart {plan} {season} />
  {:else if part === 'years'}
    <YearsPart {plan} {season} />
  {:else}
    <TapePart {editor} {plan} {season} />
  {/if}
</Frame>
