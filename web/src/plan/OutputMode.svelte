<script lang="ts">
  import type { Output, Rule } from '../lib/api/api';
  import type { PlanEditor } from './planEditor.svelte';

  /** Off, on or by rule; where the contact rests; and the force of a test. */
  interface Props {
    editor: PlanEditor;
    output: Output;
    readonly: boolean;
  }
  let { editor, output, readonly }: Props = $props();

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
  const position = (one: Output['rest']) => (one ?? 'OPEN').toLowerCase();

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
    at rest {position(output.rest)}, without power {position(output.withoutPower)}
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
