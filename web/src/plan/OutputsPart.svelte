<script lang="ts">
  import type { Plan } from '../lib/api/api';
  import { tick } from 'svelte';
  import Gauge from '../lib/gauge/Gauge.svelte';
  import Action from '../lib/shell/Action.svelte';
  import { partName } from '../lib/shell/parts';
  import { seasonOf } from '../season/season.svelte';
  import TapeView from '../season/TapeView.svelte';
  import FindingLine from './FindingLine.svelte';
  import OutputCard from './OutputCard.svelte';
  import { withOutput } from './outputs';
  import type { PlanEditor } from './planEditor.svelte';

  /** What each output does, with what that makes of the next days beside it. */
  let { editor, plan, readonly }: { editor: PlanEditor; plan: Plan; readonly: boolean } = $props();

  const season = $derived(seasonOf(editor.site));
  const workings = $derived(editor.reading?.workings ?? []);
  const open = $derived((editor.reading?.findings ?? []).filter((one) => one.dismissed === undefined));
  const elsewhere = $derived(
    open.filter((one) => !plan.program.outputs.some((output) => output.id === one.at)),
  );
  let focused = $state<string>();
  async function add() {
    const added = withOutput(plan);
    editor.take(added.plan, `${added.output.name} is new`);
    await tick();
    document.getElementById(`output-${added.output.id}`)?.scrollIntoView({ block: 'start' });
  }

  const shown = $derived(focused ?? plan.program.outputs[0]?.id);
</script>

<div class="grid grid-cols-1 xl:grid-cols-[minmax(30rem,1fr)_minmax(0,1.05fr)]">
  <section aria-label="Outputs">
    {#if elsewhere.length > 0}
      <div class="border-b border-rule px-4 pt-3 pb-4 md:px-6" aria-labelledby="site-findings">
        <h2 id="site-findings">Findings at the site</h2>
        {#each elsewhere as finding, i (i)}
          <FindingLine {finding} at={partName(plan, finding.at)} editor={readonly ? undefined : editor} />
        {/each}
      </div>
    {/if}
    {#each plan.program.outputs as output (output.id)}
      <OutputCard
        {editor}
        {output}
        reading={editor.reading?.outputs.find((one) => one.output === output.id)}
        findings={open.filter((one) => one.at === output.id)}
        workings={workings.filter((one) => one.path.startsWith(`program/outputs/${output.id}/`))}
        ratings={(editor.reading?.ratings ?? []).filter((one) => one.output === output.id)}
        figures={season.answer?.outputs.find((one) => one.output === output.id)}
        whyNot={season.answer?.run.whyNot[output.id]}
        end={season.answer?.run.durationSeconds ?? 0}
        {readonly}
        focus={() => (focused = output.id)}
      />
    {:else}
      <p class="p-6">No output is programmed here yet.</p>
    {/each}
    {#if !readonly}
      <div class="px-4 py-4 md:px-6"><Action onclick={add}>Add an output</Action></div>
    {/if}
  </section>
  <aside
    class="border-rule xl:sticky xl:top-0 xl:h-screen xl:overflow-y-auto xl:border-l"
    aria-label="What it does"
  >
    <TapeView {editor} {season} output={shown} />
    <h2 class="px-4 pt-2 md:px-6">Levels</h2>
    <div class="mx-auto max-w-xl px-4 pb-6">
      <Gauge {plan} gauge={editor.reading?.gauge} emphasised={shown} />
    </div>
  </aside>
</div>
