<script lang="ts">
  import { tick } from 'svelte';
  import { actsOn } from '../lib/shell/parts';
  import type { Finding, Output, OutputFigures, OutputReading, Rating, Rule, Working } from '../lib/api/api';
  import ContactSymbol from '../lib/contact/ContactSymbol.svelte';
  import SentenceEditor from '../lib/sentence/SentenceEditor.svelte';
  import { levelsOf, plain } from '../lib/sentence/plain';
  import { written } from '../lib/sentence/quantity';
  import SeverityMark from '../lib/shell/SeverityMark.svelte';
  import FindingLine from './FindingLine.svelte';
  import LogicOf from './LogicOf.svelte';
  import type { PlanEditor } from './planEditor.svelte';
  import OutputFacts from './OutputFacts.svelte';
  import RatingBars from './RatingBars.svelte';
  import RuleParts from './RuleParts.svelte';
  import RulePicker from './RulePicker.svelte';
  import WeekLane from './WeekLane.svelte';
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

  const SEVERITIES = ['DANGER', 'CAUTION', 'NOTE'] as const;

  type Spoken = 'automatic' | 'protection' | 'lockout';
  type Slot = 'automatic' | 'protection' | 'lockout' | 'contact' | 'clock';

  const modes = [
    ['OFF', 'Off'],
    ['ON', 'On'],
    ['BY_RULE', 'By rule'],
  ] as const;
  const forces = [
    ['NONE', 'no test force'],
    ['OPEN', 'test force: open'],
    ['CLOSED', 'test force: closed'],
  ] as const;
  const worst = $derived(SEVERITIES.find((one) => findings.some((finding) => finding.severity === one)));
  /** Its rule and what guards it in one line. */
  const summary = $derived.by(() => {
    if (output.mode === 'OFF') return 'Off';
    const said = (['automatic', 'protection'] as const).map((slot) => {
      const [sentence, rule] = [reading?.[slot], output[slot]];
      if (!sentence || !rule || (slot === 'automatic' && output.mode === 'ON')) return '';
      return levelsOf(sentence, rule) || plain(sentence, rule);
    });
    return [output.mode === 'ON' ? 'On' : '', ...said].filter(Boolean).join('; ');
  });
  const position = (one: Output['rest']) => (one ?? 'OPEN').toLowerCase();
  const acts = $derived(editor.plan ? actsOn(editor.plan, output.loads) : '');
  const errors = $derived((slot: Slot) => {
    const start = `/program/outputs/${output.id}/${slot}/`;
    const mine = editor.refused.filter((one) => one.pointer.startsWith(start));
    return Object.fromEntries(
      mine.map((one) => [one.pointer.slice(start.length).replaceAll('/', '.'), one.detail]),
    );
  });

  /** What a contact does at rest with a full battery: what the symbol shows. */
  const closed = $derived(output.testForce === 'NONE' ? output.mode === 'ON' : output.testForce === 'CLOSED');

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

  const says = (what: string) => (before: unknown, after: unknown) =>
    `${what} of ${output.name} ${String(before).toLowerCase()} → ${String(after).toLowerCase()}`;

  function setMode(mode: Output['mode']) {
    if (mode === 'BY_RULE' && !output.automatic) {
      const rule: Rule = { kind: 'duskToDawn', sunAltitudeDegrees: -4, delaySeconds: 180 };
      const note = () => `${output.name} gets a rule from dusk to dawn`;
      editor.set(['program', 'outputs', output.id, 'automatic'], rule, note);
    }
    editor.set(['program', 'outputs', output.id, 'mode'], mode, says('mode'));
  }

  function setForce(force: Output['testForce']) {
    editor.set(['program', 'outputs', output.id, 'testForce'], force, says('test force'));
  }

  const pathOf = (slot: Slot) => `program/outputs/${output.id}/${slot}`;
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

{#snippet sentence(slot: Spoken)}
  {@const said = reading?.[slot]}
  {@const rule = output[slot]}
  {#if said && rule}
    <SentenceEditor
      sentence={said}
      {rule}
      path={pathOf(slot)}
      {readonly}
      errors={errors(slot)}
      change={(field, label, value) => setField(slot, field, label, value)}
    />
    {#if !readonly && slot !== 'lockout'}
      <RuleParts {editor} rule={rule as Rule} path={pathOf(slot)} of={output.name} />
    {/if}
  {/if}
{/snippet}

<article class="border-b border-rule" aria-labelledby="output-{output.id}">
  <h3 class="font-normal">
    <button
      class="row {open ? 'bg-raised' : 'hover:bg-raised'}"
      aria-expanded={open}
      aria-controls="open-{output.id}"
      onclick={toggle}
    >
      <ContactSymbol {closed} label={output.name} />
      <span class="min-w-0 grow text-left">
        <span class="flex items-baseline gap-x-3">
          <span id="output-{output.id}" class="max-w-full shrink-0 truncate font-bold">{output.name}</span>
          {#if !open}<span class="hidden truncate text-sm text-soft sm:block">{acts}</span>{/if}
        </span>
        {#if output.testForce !== 'NONE'}
          <span class="block truncate text-sm font-bold text-danger"
            >Forced {output.testForce.toLowerCase()} for a test</span
          >
        {:else}<span class="block truncate text-sm text-soft">{open ? acts : summary}</span>{/if}
      </span>
      {#if figures}<span class="hidden w-24 shrink-0 sm:block"><WeekLane {figures} {end} /></span>{/if}
      <span class="w-6 shrink-0">
        {#if worst}<SeverityMark severity={worst} count={findings.length} brief />{/if}
      </span>
    </button>
  </h3>
  {#if open}
    <div id="open-{output.id}" class="px-4 pb-4 md:px-6">
      <div class="flex flex-wrap items-center gap-x-5 gap-y-2">
        <fieldset class="flex" disabled={readonly}>
          <legend class="sr-only">Mode of {output.name}</legend>
          {#each modes as [mode, word] (mode)}
            <label
              class="-ml-px flex min-h-11 items-center border border-rule-strong px-3 first-of-type:ml-0 has-checked:bg-ink has-checked:text-paper has-focus-visible:outline-3 has-focus-visible:outline-offset-2 has-focus-visible:outline-focus {readonly
                ? 'text-soft not-has-checked:border-dashed'
                : 'cursor-pointer'}"
            >
              <input
                class="sr-only"
                type="radio"
                name="mode-{output.id}"
                value={mode}
                checked={output.mode === mode}
                onchange={() => setMode(mode)}
              />{word}
            </label>
          {/each}
        </fieldset>
        <p class="flex flex-wrap items-center gap-x-3 text-sm text-soft">
          at rest {position(output.rest)}, without power {position(output.dead)}
          <select
            class="force {output.testForce === 'NONE' ? 'no-print' : 'font-bold text-danger'}"
            aria-label="Test force of {output.name}"
            disabled={readonly}
            value={output.testForce}
            onchange={(event) => setForce(event.currentTarget.value as Output['testForce'])}
          >
            {#each forces as [force, word] (force)}<option value={force}>{word}</option>{/each}
          </select>
        </p>
      </div>
      {#if output.automatic && reading?.automatic}
        <div class="rule {output.mode === 'BY_RULE' ? '' : 'text-soft'}">
          <p class="text-sm text-soft">rule</p>
          {@render sentence('automatic')}
          {#if output.mode !== 'BY_RULE'}<p class="text-sm">
              Kept, but not acting: the mode is {output.mode.toLowerCase()}.
            </p>{/if}
        </div>
      {/if}
      {#if output.protection && reading?.protection}
        <div class="rule guard">
          <p class="text-sm text-soft">protection, always wins</p>
          {@render sentence('protection')}
        </div>
      {/if}
      {#if output.lockout && reading?.lockout}
        {@render sentence('lockout')}
      {/if}
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
  .row {
    display: flex;
    width: 100%;
    min-height: 3rem;
    align-items: center;
    gap: 0.75rem;
    padding: 0.125rem 1rem;
  }
  @media (min-width: 48rem) {
    .row {
      padding-inline: 1.5rem;
    }
  }
  .rule {
    margin-top: 0.5rem;
    padding-left: 0.75rem;
    border-left: 2px solid var(--rule);
  }
  .guard {
    border-left: 4px solid var(--battery);
  }
  @media (pointer: coarse) {
    .row {
      min-height: 3.5rem;
    }
  }
  .hatch-force {
    padding: 0.5rem;
    background-image: repeating-linear-gradient(45deg, var(--danger) 0 3px, transparent 3px 10px);
  }
</style>
