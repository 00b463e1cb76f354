<script lang="ts">
  import type { Plan } from '../lib/api/api';
  import { flushSync, tick } from 'svelte';
  import Gauge from '../lib/gauge/Gauge.svelte';
  import { SiteNow } from '../lib/live/siteNow.svelte';
  import Action from '../lib/shell/Action.svelte';
  import { partName } from '../lib/shell/parts';
  import SeverityMark from '../lib/shell/SeverityMark.svelte';
  import { seasonOf } from '../season/season.svelte';
  import PhoneStrip from '../season/PhoneStrip.svelte';
  import TapeView from '../season/TapeView.svelte';
  import FullGauge from './FullGauge.svelte';
  import OutputCard from './OutputCard.svelte';
  import { withOutput } from './outputs';
  import type { PlanEditor } from './planEditor.svelte';

  /** What each output does, with what that makes of the next days beside it. */
  interface Props {
    editor: PlanEditor;
    plan: Plan;
    readonly: boolean;
    /** The output that is to be open, when one was gone to. */
    about?: string | undefined;
  }
  let { editor, plan, readonly, about }: Props = $props();

  const season = $derived(seasonOf(editor.site));
  const live = $derived(new SiteNow(editor.site));
  $effect(() => live.follow());
  const workings = $derived(editor.reading?.workings ?? []);
  const open = $derived((editor.reading?.findings ?? []).filter((one) => one.dismissed === undefined));
  const elsewhere = $derived(
    open.filter((one) => !plan.program.outputs.some((output) => output.id === one.at)),
  );
  /** On paper every output is told in full. */
  let printing = $state(false);
  /** The output that is open; empty when all are closed, the first when none was chosen. */
  let focused = $derived(about);
  async function add() {
    const added = withOutput(plan);
    editor.take(added.plan, `${added.output.name} is new`);
    focused = added.output.id;
    await tick();
    document.getElementById(`output-${added.output.id}`)?.scrollIntoView({ block: 'start' });
  }

  /** The rows wait for what they say, or all below the open one would move once it is there. */
  const isRead = $derived(
    editor.reading !== undefined || editor.problem !== undefined || editor.refused.length > 0,
  );
  /** The strip opened to the gauge in full, in place. */
  let full = $state(false);
  const wrong = $derived(new Set(open.map((one) => one.path)));
  const shown = $derived(focused ?? plan.program.outputs[0]?.id);
</script>

<svelte:window
  onbeforeprint={() => flushSync(() => (printing = true))}
  onafterprint={() => (printing = false)}
/>

<div
  class="grid grid-cols-1 {full
    ? 'lg:grid-cols-[minmax(0,1fr)_minmax(0,1fr)]'
    : 'lg:grid-cols-[9.5rem_minmax(0,1fr)] xl:grid-cols-[9.5rem_minmax(0,1.1fr)_minmax(0,1fr)]'}"
>
  <aside
    class="no-print hidden border-r border-rule lg:sticky lg:top-0 lg:block lg:h-screen lg:overflow-y-auto {full
      ? 'px-4 py-3'
      : ''}"
    aria-label="Levels"
  >
    {#if full}
      <FullGauge {editor} {plan} {wrong} {readonly} emphasised={shown}>
        <Action onclick={() => (full = false)} aria-expanded="true">Fold the gauge</Action>
        <a class="flex min-h-11 items-center underline" href="#/site/{editor.site}/plan/levels"
          >With the same in numbers</a
        >
      </FullGauge>
    {:else}
      <button
        class="flex min-h-11 w-full items-center justify-center text-sm underline"
        aria-expanded="false"
        onclick={() => (full = true)}>Levels in full</button
      >
      <Gauge {plan} gauge={editor.reading?.gauge} emphasised={shown} />
    {/if}
  </aside>
  <section aria-label="Outputs" class="min-w-0">
    {#if elsewhere[0]}
      <a
        class="flex min-h-11 items-center gap-3 border-b border-rule px-4 text-sm md:px-6"
        href="#/site/{editor.site}/plan/findings"
      >
        <SeverityMark severity={elsewhere[0].severity} />
        <span class="min-w-0 grow truncate">{partName(plan, elsewhere[0].at)}: {elsewhere[0].text}</span>
        <span class="shrink-0 underline"
          >{elsewhere.length === 1 ? 'See it' : `all ${elsewhere.length} at the site`}</span
        >
      </a>
    {/if}
    {#each isRead ? plan.program.outputs : [] as output (output.id)}
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
        open={printing || shown === output.id}
        toggle={() => (focused = shown === output.id ? '' : output.id)}
      />
    {:else}
      <p class="p-6" role="status">{isRead ? 'No output is programmed here yet.' : 'Reading the outputs'}</p>
    {/each}
    {#if !readonly && isRead}
      <div class="px-4 py-4 md:px-6"><Action onclick={add}>Add an output</Action></div>
    {/if}
  </section>
  <aside
    class="border-rule lg:col-start-2 {full
      ? ''
      : 'xl:sticky xl:top-0 xl:col-start-3 xl:h-screen xl:overflow-y-auto xl:border-l'}"
    aria-label="What it does"
  >
    <TapeView {editor} {season} {live} output={shown || plan.program.outputs[0]?.id} />
    <PhoneStrip {season} {plan} output={shown || plan.program.outputs[0]?.id} />
  </aside>
</div>
