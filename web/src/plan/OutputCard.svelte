<script lang="ts">
  import { tick } from 'svelte';
  import { actsOn } from '../lib/shell/parts';
  import type { Finding, Output, OutputFigures, OutputReading, Rating, Working } from '../lib/api/api';
  import { written } from '../lib/sentence/quantity';
  import FindingLine from './FindingLine.svelte';
  import LogicOf from './LogicOf.svelte';
  import type { PlanEditor } from './planEditor.svelte';
  import OutputFacts from './OutputFacts.svelte';
  import OutputMode from './OutputMode.svelte';
  import OutputRow from './OutputRow.svelte';
  import OutputRules from './OutputRules.svelte';
  import RatingBars from './RatingBars.svelte';
  import RulePicker from './RulePicker.svelte';
  import Worked from './Worked.svelte';

  interface Props {
    editor: PlanEditor;
    output: Output;
    reading?: OutputReading;
    findings: Finding[];
    workings: Working[];
    ratings: Rating[];
    /** What the last run made of it, and why it stayed still if it did. */
    figures?: OutputFigures;
    whyNot?: string;
    end: number;
    readonly: boolean;
    /** Whether it is the one that is worked on. */
    open: boolean;
    toggle: () => void;
  }
  let {
    editor,
    output,
    reading,
    findings,
    workings,
    ratings,
    figures,
    whyNot,
    end,
    readonly,
    open,
    toggle,
  }: Props = $props();

  let panel = $state<'rules' | 'wiring' | 'logic' | 'calculation'>();

  async function closeRules() {
    panel = undefined;
    await tick();
    document.getElementById(`rules-of-${output.id}`)?.focus();
  }

  type Slot = 'automatic' | 'protection' | 'lockout' | 'contact' | 'clock';

  const acts = $derived(editor.plan ? actsOn(editor.plan, output.loads) : '');
  const errors = $derived((slot: Slot) => {
    const start = `/program/outputs/${output.id}/${slot}/`;
    const mine = editor.refused.filter((one) => one.pointer.startsWith(start));
    return Object.fromEntries(
      mine.map((one) => [one.pointer.slice(start.length).replaceAll('/', '.'), one.detail]),
    );
  });

  function setField(slot: Slot, field: string, label: string, value: number | string) {
    const unit = reading?.[slot]?.parts.find((part) => part.kind === 'number' && part.field === field);
    const say = (one: unknown) =>
      unit?.kind === 'number' && typeof one === 'number' ? written(one, unit.unit) : String(one);
    editor.set(
      ['program', 'outputs', output.id, slot, ...field.split('.')],
      value,
      (before, after) => `${label} of ${output.name} ${say(before)} → ${say(after)}`,
    );
  }

  const panels = $derived(
    (
      [
        ['rules', 'Rules', !readonly],
        ['wiring', 'Wiring', !readonly],
        ['logic', 'Logic', true],
        ['calculation', 'Calculation', workings.length > 0],
      ] as const
    ).filter(([, , offered]) => offered),
  );
</script>

<article class="border-b border-rule" aria-labelledby="output-{output.id}">
  <h3 class="font-normal">
    <OutputRow {output} {reading} {acts} {figures} {end} {findings} {open} {toggle} />
  </h3>
  {#if open}
    <div id="open-{output.id}" class="px-4 pb-4 md:px-6">
      <OutputMode {editor} {output} {readonly} />
      <OutputRules {editor} {output} {reading} {readonly} {errors} change={setField} />
      {#if output.testForce !== 'NONE'}
        <p class="hatch-force mt-2">
          <span class="bg-paper px-2 py-1 font-bold text-danger"
            >Forced {output.testForce.toLowerCase()} past mode and protection until withdrawn</span
          >
        </p>
      {/if}
      <p class="mt-1 text-sm text-soft">
        {#if !figures}The coming days are not run yet.
        {:else if whyNot}Stays {figures.startsClosed ? 'closed' : 'open'} in the simulated run: {whyNot}.
        {:else}<span class="number">{figures.switchings}</span>
          {figures.switchings === 1 ? 'switching' : 'switchings'} in the simulated run, the first seven days above.{/if}
      </p>
      {#if ratings.length > 0}<RatingBars {ratings} />{/if}
      {#each findings as finding, i (i)}<FindingLine
          {finding}
          editor={readonly ? undefined : editor}
        />{/each}
      <div class="no-print mt-1 flex flex-wrap gap-x-6">
        {#each panels as [key, name] (key)}
          <button
            id={key === 'rules' ? `rules-of-${output.id}` : undefined}
            class="min-h-11 underline decoration-rule-strong underline-offset-4 {panel === key
              ? 'font-bold'
              : ''}"
            aria-expanded={panel === key}
            aria-label="{name} of {output.name}"
            onclick={() => (panel = panel === key ? undefined : key)}>{name}</button
          >
        {/each}
      </div>
      {#if panel === 'rules'}
        <RulePicker {editor} {output} close={closeRules} />
      {:else if panel === 'wiring'}
        <OutputFacts {editor} {output} {reading} {errors} change={setField} />
      {:else if panel === 'logic'}
        <LogicOf {editor} {output} />
      {:else if panel === 'calculation'}
        <div class="mt-2"><Worked {editor} {workings} {readonly} /></div>
      {/if}
    </div>
  {/if}
</article>

<style>
  .hatch-force {
    padding: 0.5rem;
    background-image: repeating-linear-gradient(45deg, var(--danger) 0 3px, transparent 3px 10px);
  }
</style>
