<script lang="ts">
  import type { BenchTestView, TriedStep } from '../lib/api/api';
  import { day, decimal, duration } from '../lib/sentence/quantity';
  import { FIELD } from '../lib/shell/fieldLook';
  import Action from '../lib/shell/Action.svelte';
  import SeverityMark from '../lib/shell/SeverityMark.svelte';
  import type { BenchTests } from './benchTests.svelte';

  /** The levels of a test, output by output: what is expected, how to try it, what was measured. */
  interface Props {
    tests: BenchTests;
    test: BenchTestView;
    readonly: boolean;
    zone: string;
  }
  let { tests, test, readonly, zone }: Props = $props();

  /** The step that is being left out, of which it is asked why. */
  let leaving = $state('');

  const at = (value: number, unit: string) => `${decimal(value)} ${unit}`.trim();
  const label = (one: TriedStep) => `${one.step.term} of ${one.step.outputName}`;
  const HOLD = {
    VALID: '',
    CHANGED: 'holds no longer: changed in the plan',
    GONE: 'holds no longer: gone from the plan',
  };

  /** A number that is none, or a field that is missing, in the server's words. */
  function refusal(one: TriedStep): string | undefined {
    if (tests.refused?.at !== one.step.id) return undefined;
    return (tests.refused.problem.errors?.[0]?.detail ?? tests.refused.problem.detail).replace(/^\w+: /, '');
  }

  function keep(event: SubmitEvent, one: TriedStep) {
    event.preventDefault();
    void tests.measured(test, one).then(() => {
      if (tests.refused?.at !== one.step.id) leaving = '';
    });
  }
</script>

<ul class="px-4 md:px-6">
  {#each test.steps as one, i (one.step.id)}
    {@const step = one.step}
    {@const wrong = refusal(one)}
    {#if step.output !== test.steps[i - 1]?.step.output}
      <li class="pt-4 pb-1">
        <b class="text-lg">{step.outputName}</b>
        {#if step.loads.length > 0}<span class="text-soft">
            switches {step.loads.join(', ')}{step.critical.length > 0
              ? `; critical: ${step.critical.join(', ')}, off for the test only`
              : ''}</span
          >{/if}
      </li>
    {/if}
    <li
      class="grid min-h-14 items-center gap-x-4 gap-y-1 border-t border-rule py-2 md:grid-cols-[minmax(0,15rem)_12rem_minmax(0,1fr)]"
    >
      <div>
        <span>{step.held ? '■' : step.falling ? '▼' : '▲'} {step.term}</span>
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
        {#if one.last}
          <p>
            {#if one.failure}
              <SeverityMark severity="DANGER" brief /> <b>Failed: {one.failure}</b>
            {:else if one.last.measured === undefined}
              <b>Left out:</b> {one.last.note}
            {:else}
              <b>Passed at <span class="number">{at(one.last.measured, step.unit)}</span></b>{one.last
                .afterSeconds === undefined
                ? ''
                : ` after ${duration(one.last.afterSeconds)}`}{one.last.setTo === undefined
                ? ''
                : `, set to ${at(one.last.setTo, step.unit)} for the test`}
            {/if}
            <span class="text-soft">
              {one.last.instrument}{one.last.instrument ? ', ' : ''}{one.last.measuredBy}, {day(
                one.last.measuredAt,
                zone,
              )}{one.times > 1 ? `, measured ${one.times} times` : ''}</span
            >
          </p>
        {/if}
        {#if HOLD[one.standing]}<p class="font-bold">{HOLD[one.standing]}</p>{/if}
        {#if !readonly}
          {#if one.provocation && !one.last}<p class="text-sm">{one.provocation}</p>{/if}
          {#if one.setFor !== undefined && !one.last}
            <p class="text-sm">
              {one.provocation ? 'Or' : 'For the test'} set it to
              <b class="number">{at(one.setFor, step.unit)}</b>, its pair out of its way; put both back.
            </p>
          {/if}
          <form
            class="no-print flex flex-wrap items-center gap-2"
            onsubmit={(event) => keep(event, one)}
            novalidate
          >
            {#if leaving === step.id}
              <input
                class="{FIELD} w-72"
                placeholder="why it is left out"
                aria-label="why {label(one)} is left out"
                value={tests.of(one).note}
                oninput={(event) => tests.type(one, { note: event.currentTarget.value })}
              />
              <Action type="submit" disabled={tests.busy !== ''}>Leave it out</Action>
              <button type="button" class="min-h-11 px-2 underline" onclick={() => (leaving = '')}
                >measure it</button
              >
            {:else}
              <input
                class="{FIELD} number w-28"
                inputmode="decimal"
                autocomplete="off"
                placeholder={step.unit}
                aria-label="measured: {label(one)}"
                value={tests.of(one).measured}
                oninput={(event) => tests.type(one, { measured: event.currentTarget.value })}
              />
              {#if one.setFor !== undefined || tests.of(one).setTo !== ''}
                <input
                  class="{FIELD} number w-28"
                  inputmode="decimal"
                  autocomplete="off"
                  placeholder="if set to"
                  aria-label="set to for the test: {label(one)}"
                  value={tests.of(one).setTo}
                  oninput={(event) => tests.type(one, { setTo: event.currentTarget.value })}
                />
              {/if}
              {#if step.delaySeconds !== undefined}
                <input
                  class="{FIELD} number w-24"
                  inputmode="decimal"
                  autocomplete="off"
                  placeholder="after s"
                  aria-label="after how many seconds: {label(one)}"
                  value={tests.of(one).after}
                  oninput={(event) => tests.type(one, { after: event.currentTarget.value })}
                />
              {/if}
              <Action type="submit" disabled={tests.busy !== '' || tests.of(one).measured.trim() === ''}
                >{one.last ? 'Keep again' : 'Keep'}</Action
              >
              <button
                type="button"
                class="min-h-11 px-2 underline"
                aria-label="leave out: {label(one)}"
                onclick={() => (leaving = step.id)}>leave out</button
              >
            {/if}
            {#if wrong}<p class="basis-full text-danger" role="alert">{wrong}</p>{/if}
          </form>
        {/if}
      </div>
    </li>
  {/each}
</ul>
