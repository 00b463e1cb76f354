<script lang="ts">
  import Frame from '../lib/shell/Frame.svelte';
  import { session } from '../lib/shell/session.svelte';
  import Tabs from '../lib/shell/Tabs.svelte';
  import Trouble from '../lib/shell/Trouble.svelte';
  import { editorOf } from '../plan/editors';
  import BookPart from './BookPart.svelte';
  import DailyPart from './DailyPart.svelte';
  import FilesPart from './FilesPart.svelte';
  import { Recorded } from './recorded.svelte';
  import SincePart from './SincePart.svelte';
  import TeachesPart from './TeachesPart.svelte';

  let { params }: { params: { site: string; part?: string } } = $props();

  const TABS = [
    { key: 'since', name: 'What happened' },
    { key: 'teaches', name: 'What it teaches' },
    { key: 'book', name: 'Measured and done' },
    { key: 'daily', name: 'Daily figures' },
    { key: 'files', name: 'Recorded files' },
  ];
  const part = $derived(TABS.find((one) => one.key === params.part)?.key ?? 'since');
  const editor = $derived(editorOf(params.site));
  const plan = $derived(editor.plan);
  const recorded = $derived(new Recorded(params.site));
  const readonly = $derived(!session.mayChangeAt(params.site));
  const zone = $derived(plan?.site.location.timeZone ?? 'UTC');

  $effect(() => {
    void recorded.loadFiles();
  });
</script>

<Frame title={plan?.site.name ?? 'Log'} site={params.site} place="log">
  <Tabs tabs={TABS} {part} address="/site/{params.site}/log" label="Log" />
  {#if recorded.problem}<Trouble problem={recorded.problem} retry={() => recorded.loadFiles()} />{/if}
  {#if !plan}
    {#if editor.problem}<Trouble problem={editor.problem} retry={() => editor.load()} />
    {:else}<p class="p-6 text-soft" role="status">Reading the plan</p>{/if}
  {:else if part === 'files'}
    <FilesPart {recorded} {plan} {readonly} {zone} />
  {:else if part === 'book'}
    <BookPart {editor} {readonly} {zone} />
  {:else if part === 'daily'}
    <DailyPart site={params.site} {plan} {readonly} {zone} />
  {:else if !recorded.files}
    {#if !recorded.problem}<p class="p-6 text-soft" role="status">Reading what was recorded</p>{/if}
  {:else if recorded.files.length === 0}
    <p class="p-6 text-lg">
      Nothing was recorded here yet.
      <a class="underline" href="#/site/{params.site}/log/files">Bring a logger’s file</a>, or write down the
      <a class="underline" href="#/site/{params.site}/log/daily">daily figures</a> of a device.
    </p>
  {:else if part === 'teaches'}
    <TeachesPart {recorded} {editor} {readonly} {zone} />
  {:else}
    <SincePart {recorded} {plan} levels={editor.reading?.gauge.pegs ?? []} {zone} />
  {/if}
</Frame>
