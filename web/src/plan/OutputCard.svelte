<script lang="ts">
  import { tick } from 'svelte';
  import { actsOn } from '../lib/shell/parts';
  import type { Finding, Output, OutputFigures, OutputReading, Rating, Rule, Working } from '../lib/api/api';
  import ContactSymbol from '../lib/contact/ContactSymbol.svelte';
  import Action from '../lib/shell/Action.svelte';
  import SentenceEditor from '../lib/sentence/SentenceEditor.svelte';
  import { written } from '../lib/sentence/quantity';
  import FindingLine from './FindingLine.svelte';
  import type { PlanEditor } from './planEditor.svelte';
  import OutputFacts from './OutputFacts.svelte';
  import RatingBars from './RatingBars.svelte';
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
    focus: () => void;
  }
  let { editor, output, reading, findings, workings, ratings, figures, whyNot, end, readonly, focus }: Props =
    $props();

  let panel = $state<'rules' | 'facts' | 'sums'>();

  async function closeRules() {
    panel = undefined;
    await tick();
    document.getElementById(`rules-of-${output.id}`)?.focus();
  }

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
</script>

<article
  class="border-b border-rule px-4 py-4 md:px-6"
  aria-labelledby="output-{output.id}"
  onfocusin={focus}
>
  <div
    class="grid grid-cols-[auto_minmax(0,1fr)] items-center gap-x-4 gap-y-2 sm:grid-cols-[auto_minmax(0,1fr)_auto]"
  >
    <ContactSymbol {closed} label={output.name} />
    <div class="min-w-0">
      <h3 id="output-{output.id}">{output.name}</h3>
      <p class="flex flex-wrap items-center gap-x-2 text-sm text-soft">
        {acts}; rests {(output.rest ?? 'OPEN').toLowerCase()}, dead {(output.dead ?? 'OPEN').toLowerCase()}
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
    <fieldset class="flex max-sm:col-span-2" disabled={readonly}>
      <legend class="sr-only">Mode of {output.name}</legend>
      {#each modes as [mode, word] (mode)}
        <label
          class="-ml-px flex min-h-11 cursor-pointer items-center border border-rule-strong px-3 first-of-type:ml-0 has-checked:bg-ink has-checked:text-paper has-focus-visible:outline-3 has-focus-visible:outline-offset-2 has-focus-visible:outline-focus"
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
  </div>
  {#if output.automatic && reading?.automatic}
    <div class="rule {output.mode === 'BY_RULE' ? '' : 'text-soft'}">
      <p class="text-sm text-soft">mode</p>
      <SentenceEditor
        sentence={reading.automatic}
        rule={output.automatic}
        {readonly}
        errors={errors('automatic')}
        change={(field, label, value) => setField('automatic', field, label, value)}
      />
      {#if output.mode !== 'BY_RULE'}<p class="text-sm">
          Kept, but not acting: the mode is {output.mode.toLowerCase()}.
        </p>{/if}
    </div>
  {/if}
  {#if output.protection && reading?.protection}
    <div class="rule guard">
      <p class="text-sm text-soft">protection, above any mode</p>
      <SentenceEditor
        sentence={reading.protection}
        rule={output.protection}
        {readonly}
        errors={errors('protection')}
        change={(field, label, value) => setField('protection', field, label, value)}
      />
    </div>
  {/if}
  {#if output.lockout && reading?.lockout}
    <SentenceEditor
      sentence={reading.lockout}
      rule={output.lockout}
      {readonly}
      errors={errors('lockout')}
      change={(field, label, value) => setField('lockout', field, label, value)}
    />
  {/if}
  {#if output.testForce !== 'NONE'}
    <p class="hatch-force mt-2">
      <span class="bg-paper px-2 py-1 font-bold text-danger"
        >Forced {output.testForce.toLowerCase()} past mode and protection until withdrawn</span
      >
    </p>
  {/if}
  {#if figures}
    <WeekLane {figures} {end} />
    <p class="text-sm text-soft">
      {#if whyNot}Stays {figures.startsClosed ? 'closed' : 'open'} in the simulated run: {whyNot}.
      {:else}<span class="number">{figures.switchings}</span>
        {figures.switchings === 1 ? 'switching' : 'switchings'} in the simulated run, the first seven days above.{/if}
    </p>
  {/if}
  {#if ratings.length > 0}<RatingBars {ratings} />{/if}
  {#each findings as finding, i (i)}<FindingLine {finding} editor={readonly ? undefined : editor} />{/each}
  <div class="no-print mt-2 flex flex-wrap gap-2">
    {#if !readonly}
      <Action
        id="rules-of-{output.id}"
        onclick={() => (panel = panel === 'rules' ? undefined : 'rules')}
        aria-expanded={panel === 'rules'}
        aria-label="Rules of {output.name}">Rules…</Action
      >
    {/if}
    {#if !readonly}
      <Action
        onclick={() => (panel = panel === 'facts' ? undefined : 'facts')}
        aria-expanded={panel === 'facts'}
        aria-label="Facts of {output.name}">Facts…</Action
      >
    {/if}
    <a
      class="flex min-h-11 items-center px-2 underline"
      href="/api/sites/{editor.site}/revisions/{editor.revision?.number}/logic/{output.id}"
      title="The saved revision's logic as structured text (IEC 61131-3) for a programmable relay"
      download>Logic</a
    >
    {#if workings.length > 0}
      <Action
        onclick={() => (panel = panel === 'sums' ? undefined : 'sums')}
        aria-expanded={panel === 'sums'}
        aria-label="Sums worked out for {output.name}">Sums…</Action
      >
    {/if}
  </div>
  {#if panel === 'rules'}
    <RulePicker {editor} {output} close={closeRules} />
  {:else if panel === 'facts'}
    <OutputFacts {editor} {output} {reading} {errors} change={setField} />
  {:else if panel === 'sums'}
    <div class="mt-2"><Worked {editor} {workings} {readonly} /></div>
  {/if}
</article>

<style>
  .rule {
    margin-top: 0.5rem;
    padding-left: 0.75rem;
    border-left: 2px solid var(--rule);
  }
  .guard {
    border-left: 4px solid var(--battery);
  }
  .force {
    min-height: 1.75rem;
    padding: 0 0.25rem;
    appearance: auto;
    font-size: 0.875rem;
    border: 1px dashed var(--rule-strong);
    border-radius: 3px;
    background-color: transparent;
  }
  @media (pointer: coarse) {
    .force {
      min-height: 44px;
    }
  }
  .hatch-force {
    padding: 0.5rem;
    background-image: repeating-linear-gradient(45deg, var(--danger) 0 3px, transparent 3px 10px);
  }
</style>
