<script lang="ts">
  import type { BenchTestView, TriedStep } from '../lib/api/api';
  import { decimal, duration } from '../lib/sentence/quantity';
  import { FIELD } from '../lib/shell/fieldLook';
  import Action from '../lib/shell/Action.svelte';
  import type { BenchTests } from './benchTests.svelte';
  import TestStepResult from './TestStepResult.svelte';
  import Icon from '../lib/shell/Icon.svelte';

  /** A level that is tried: what is expected, how to try it, what was measured; in turn it is measured or left out. */
  interface Props {
    tests: BenchTests;
    test: BenchTestView;
    one: TriedStep;
    readonly: boolean;
    zone: string;
  }
  let { tests, test, one, readonly, zone }: Props = $props();

  /** Whether it is being left out: then it is asked why. */
  let leaving = $state(false);
  const step = $derived(one.step);
  const label = $derived(`${step.term} of ${step.outputName}`);
  const at = (value: number, unit: string) => `${decimal(value)} ${unit}`.trim();
  const HOLD = {
    VALID: '',
    CHANGED: 'holds no longer: changed in the plan',
    GONE: 'holds no longer: gone from the plan',
  };
  /** A number that is none, or a field that is missing, in the server's words. */
  const wrong = $derived.by(() => {
    if (tests.refused?.at !== step.id) return undefined;
    const { problem } = tests.refused;
    return (problem.errors?.[0]?.detail ?? problem.detail).replace(/^\w+: /, '');
  });

  function keep(event: SubmitEvent) {
    event.preventDefault();
    void tests.measured(test, one).then(() => {
      if (tests.refused?.at !== step.id) leaving = false;
    });
  }
</script>

{#snippet typed(what: 'measured' | 'setTo' | 'after', says: string, hint: string | undefined)}
  <input
    class="{FIELD} number w-28"
    inputmode="decimal"
    autocomplete="off"
    placeholder={hint}
    aria-label="{says}: {label}"
    value={tests.of(one)[what]}
    oninput={(event) => tests.type(one, { [what]: event.currentTarget.value })}
  />
{/snippet}

<li
  class="grid min-h-14 items-center gap-x-4 gap-y-1 border-t border-rule py-2 md:grid-cols-[minmax(0,15rem)_12rem_minmax(0,1fr)]"
>
  <div>
    <span><Icon sign={step.held ? 'holds' : step.falling ? 'falls' : 'rises'} /> {step.term}</span>
    <span class="block text-sm text-soft">{step.signal}</span>
  </div>
  <div>
    <b class="number text-xl">{at(step.expected, step.unit)}</b>
    <span class="number block text-sm text-soft">±{at(step.tolerance, step.unit)}</span>
    {#if step.delaySeconds !== undefined}
      <span class="number block text-sm text-soft"
        >after {duration(step.delaySeconds)} ±{duration(step.delayTolerance)}</span
      >
    {/if}
  </div>
  <div class="grid gap-1">
    {#if one.last}<TestStepResult {one} {zone} />{/if}
    {#if HOLD[one.standing]}<p class="font-bold">{HOLD[one.standing]}</p>{/if}
    {#if !readonly}
      {#if one.provocation && !one.last}<p class="text-sm">{one.provocation}</p>{/if}
      {#if one.setFor !== undefined && !one.last}
        <p class="text-sm">
          {one.provocation ? 'Or' : 'For the test'} set it to
          <b class="number">{at(one.setFor, step.unit)}</b>, its pair out of its way; put both back.
        </p>
      {/if}
      <form class="no-print flex flex-wrap items-center gap-2" onsubmit={(event) => keep(event)} novalidate>
        {#if leaving}
          <input
            class="{FIELD} w-72"
            placeholder="why it is left out"
            aria-label="why {label} is left out"
            value={tests.of(one).note}
            oninput={(event) => tests.type(one, { note: event.currentTarget.value })}
          />
          <Action type="submit" disabled={tests.busy !== ''}>Leave it out</Action>
          <button type="button" class="min-h-11 px-2 underline" onclick={() => (leaving = false)}
            >measure it</button
          >
        {:else}
          {@render typed('measured', 'measured', step.unit)}
          {#if one.setFor !== undefined || tests.of(one).setTo !== ''}
            {@render typed('setTo', 'set to for the test', 'if set to')}
          {/if}
          {#if step.delaySeconds !== undefined}
            {@render typed('after', 'after how many seconds', 'after s')}
          {/if}
          <Action type="submit" disabled={tests.busy !== '' || tests.of(one).measured.trim() === ''}
            >{one.last ? 'Keep again' : 'Keep'}</Action
          >
          <button
            type="button"
            class="min-h-11 px-2 underline"
            aria-label="leave out: {label}"
            onclick={() => (leaving = true)}>leave out</button
          >
        {/if}
        {#if wrong}<p class="basis-full text-danger" role="alert">{wrong}</p>{/if}
      </form>
    {/if}
  </div>
</li>
