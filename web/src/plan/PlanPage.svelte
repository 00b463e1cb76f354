<script lang="ts">
  import { push } from 'svelte-spa-router';
  import type { Finding } from '../lib/api/api';
  import { gate } from '../lib/along/gate.svelte';
  import Frame from '../lib/shell/Frame.svelte';
  import { session } from '../lib/shell/session.svelte';
  import Tabs from '../lib/shell/Tabs.svelte';
  import Trouble from '../lib/shell/Trouble.svelte';
  import { seasonOf } from '../season/season.svelte';
  import Conflict from './Conflict.svelte';
  import DevicesPart from './DevicesPart.svelte';
  import FindingsPart from './FindingsPart.svelte';
  import History from './History.svelte';
  import LevelsPart from './LevelsPart.svelte';
  import OutputsPart from './OutputsPart.svelte';
  import { editorOf } from './editors';
  import PlanNotices from './PlanNotices.svelte';
  import ProfileImport from './ProfileImport.svelte';
  import SaveState from './SaveState.svelte';

  let { params }: { params: { site: string; part?: string } } = $props();

  const editor = $derived(editorOf(params.site));
  const plan = $derived(editor.plan);
  const readonly = $derived(!session.mayChangeAt(params.site));
  const part = $derived(params.part ?? 'outputs');
  const open = $derived((editor.reading?.findings ?? []).filter((one) => one.dismissed === undefined));
  /** What only the simulated days show. */
  const ofRun = $derived(
    (seasonOf(params.site).answer?.run.findings ?? []).filter(
      (one) =>
        !open.some((other) => other.check === one.check && other.at === one.at && other.path === one.path),
    ),
  );
  const isGrave = $derived([...open, ...ofRun].some((one) => one.severity === 'DANGER'));
  // The sketch brings the published schema along; it comes only when it is wanted.
  const system = $derived(part === 'system' ? import('./system/SystemPart.svelte') : undefined);
  const parts = $derived([
    { key: 'system', name: 'System', count: undefined },
    { key: 'outputs', name: 'Outputs', count: plan?.program.outputs.length },
    { key: 'devices', name: 'Devices', count: plan?.program.devices?.length || undefined },
    {
      key: 'findings',
      name: 'Findings',
      count: editor.reading ? open.length + ofRun.length : undefined,
      grave: isGrave,
    },
    { key: 'revisions', name: 'Revisions', count: undefined },
  ]);

  $effect(() => {
    if (gate.sent > 0) void editor.rejoin();
  });

  /** By then the part that was gone to is drawn. */
  const ARRIVED_MS = 60;

  function go(to: string) {
    void push(`/site/${params.site}/plan/${to}`);
  }

  /** To the place a finding is about: a level on the gauge, an output, or a part on the sketch. */
  function goTo(finding: Finding) {
    if (editor.reading?.gauge.pegs.some((peg) => peg.path === finding.path)) go('levels');
    else if (finding.path.startsWith('program/devices/')) go('devices');
    else if (plan?.program.outputs.some((output) => output.id === finding.at)) goToOutput(finding.at);
    else {
      about = finding;
      go('system');
    }
  }
  /** The output that was gone to last. */
  let output = $state<string>();
  let about = $state.raw<Pick<Finding, 'path' | 'at'>>();

  /** To a field that is refused: at its output, or in the sheet of its part. */
  function goToField(pointer: string) {
    const [, part, list, id] = pointer.split('/');
    if (part === 'program' && list === 'outputs' && id) goToOutput(id);
    else if (part === 'program' && list === 'devices') go('devices');
    else {
      about = { path: pointer.slice(1), at: (part === 'site' && id) || list || '' };
      go('system');
    }
    setTimeout(() => document.querySelector<HTMLElement>('[aria-invalid="true"]')?.focus(), ARRIVED_MS);
  }

  function goToOutput(id: string) {
    output = id;
    go('outputs');
    setTimeout(() => document.getElementById(`output-${id}`)?.scrollIntoView({ block: 'start' }), ARRIVED_MS);
  }
</script>

<Frame title={plan?.site.name ?? 'Plan'} site={params.site} place="plan">
  {#snippet header()}{#if plan}<SaveState {editor} />{/if}{/snippet}

  <Tabs
    tabs={parts}
    part={part === 'levels' ? 'outputs' : part}
    address="/site/{params.site}/plan"
    label="Parts of the plan"
  />
  {#if editor.saveProblem}<Trouble problem={editor.saveProblem} retry={() => editor.save()} />{/if}
  {#if editor.problem}<Trouble problem={editor.problem} retry={() => editor.load()} />{/if}
  <Conflict {editor} />
  <PlanNotices {editor} {plan} go={goToField} />
  {#if !plan}
    {#if !editor.problem}<p class="p-6 text-soft" role="status">Reading the plan</p>{/if}
  {:else if part === 'system'}
    {#await system}
      <p class="p-6 text-soft" role="status">Drawing the sketch</p>
    {:then loaded}
      {#if loaded}
        <loaded.default {editor} {plan} {readonly} output={goToOutput} {about} />
        {#if !readonly}<ProfileImport {editor} />{/if}
      {/if}
    {/await}
  {:else if part === 'levels'}
    <LevelsPart {editor} {readonly} />
  {:else if part === 'devices'}
    <DevicesPart {editor} {readonly} />
  {:else if part === 'findings'}
    <FindingsPart {editor} {plan} {readonly} {ofRun} go={goTo} />
  {:else if part === 'revisions'}
    <History {editor} />
  {:else}
    <OutputsPart {editor} {plan} {readonly} about={output} />
  {/if}
</Frame>
