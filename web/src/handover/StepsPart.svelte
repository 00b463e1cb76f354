<script lang="ts">
  import { gate } from '../lib/along/gate.svelte';
  import { api, outcome, type Problem } from '../lib/api/client';
  import type { CommissioningView, StepAtVisit, WorkStep } from '../lib/api/api';
  import { day } from '../lib/sentence/quantity';
  import Action from '../lib/shell/Action.svelte';
  import { FIELD } from '../lib/shell/fieldLook';
  import Said from '../lib/shell/Said.svelte';
  import SeverityMark from '../lib/shell/SeverityMark.svelte';
  import Trouble from '../lib/shell/Trouble.svelte';
  import StepPhotos from './StepPhotos.svelte';

  /** What is done at the site, one after the other, and what of it is done at this visit. */
  let { site, readonly, zone }: { site: string; readonly: boolean; zone: string } = $props();

  let view = $state.raw<CommissioningView>();
  let problem = $state.raw<Problem>();
  let refused = $state.raw<Problem>();
  let busy = $state(false);
  let typed = $state<Record<string, { measured: string; note: string }>>({});

  const path = $derived({ siteId: site });
  const PHASES: [WorkStep['phase'], string][] = [
    ['ARRIVAL', 'On arrival'],
    ['SETTING_UP', 'Before anything is switched on'],
    ['START_UP', 'Start-up: battery first, arrays last'],
    ['TAKING_DOWN', 'Taking down, the other way round'],
  ];
  /** Taking down is for another day: it counts for nothing. */
  const counted = $derived((view?.steps ?? []).filter((one) => one.step.phase !== 'TAKING_DOWN'));
  const done = $derived(counted.filter((one) => one.mark?.done).length);

  async function load() {
    const answer = await outcome(api.GET('/api/sites/{siteId}/commissioning', { params: { path } }));
    view = answer.data ?? view;
    problem = answer.problem;
  }
  $effect(() => {
    void gate.sent;
    void load();
  });

  async function take(call: ReturnType<typeof outcome<CommissioningView>>): Promise<boolean> {
    busy = true;
    const answer = await call;
    busy = false;
    refused = answer.problem;
    view = answer.data ?? view;
    return !answer.problem;
  }

  const begin = () =>
    take(
      outcome(
        api.POST('/api/sites/{siteId}/commissioning/rounds', {
          params: { path },
          body: { number: (view?.round ?? 0) + 1 },
        }),
      ),
    );

  async function mark(one: StepAtVisit, isDone: boolean) {
    const { measured, note } = of(one);
    const kept = await take(
      outcome(
        api.POST('/api/sites/{siteId}/commissioning/marks', {
          params: { path },
          body: {
            id: crypto.randomUUID(),
            round: view?.round ?? 0,
            step: one.step.id,
            done: isDone,
            measured,
            note,
          },
        }),
      ),
    );
    if (kept) typed = { ...typed, [one.step.id]: { measured: '', note: '' } };
  }

  const of = (one: StepAtVisit) => typed[one.step.id] ?? { measured: '', note: '' };
  function type(one: StepAtVisit, what: { measured?: string; note?: string }) {
    typed = { ...typed, [one.step.id]: { ...of(one), ...what } };
  }
</script>

{#if problem}<Trouble {problem} retry={load} />{/if}
{#if !view}
  {#if !problem}<p class="p-6 text-soft" role="status">Reading the steps</p>{/if}
{:else}
  <div class="px-4 py-6 md:px-6">
    <p class="text-3xl leading-9 font-bold" role="status">
      {view.round === 0 ? 'No visit has begun.' : `${done} of ${counted.length} steps done.`}
    </p>
    {#if view.begunAt}
      <p class="mt-2 text-soft">
        Visit <span class="number">{view.round}</span>, begun on {day(view.begunAt, zone)} by {view.begunBy}.
      </p>
    {/if}
    <p class="mt-2 max-w-3xl text-soft">
      Made from the plan, not from what stands there. Whoever works on batteries, arrays and AC circuits
      follows local code and licensed practice; where it says stop, stop.
    </p>
    <div class="no-print mt-4 flex flex-wrap gap-3">
      {#if !readonly}
        <Action main={view.round === 0} onclick={begin} disabled={busy}>Begin visit {view.round + 1}</Action>
      {/if}
      <Action onclick={() => window.print()}>Print</Action>
      <Said problem={refused} />
    </div>
  </div>
  {#each PHASES as [phase, title] (phase)}
    {@const steps = view.steps.filter((one) => one.step.phase === phase)}
    {#if steps.length > 0}
      <section class="border-t border-rule px-4 py-5 md:px-6" aria-labelledby="phase-{phase}">
        <h2 id="phase-{phase}">{title}</h2>
        <ol class="mt-2">
          {#each steps as one, i (one.step.id)}
            {@const step = one.step}
            <li
              class="grid gap-x-4 gap-y-1 border-t border-rule py-2 md:grid-cols-[2.5rem_minmax(0,1fr)_minmax(0,24rem)]"
            >
              <span class="number text-soft" aria-hidden="true">{i + 1}</span>
              <div class="max-w-2xl">
                <p class="text-lg {one.mark?.done ? 'text-soft' : 'font-bold'}">{step.what}</p>
                {#if step.expect}<p>{step.expect}</p>{/if}
                {#if step.stop}<p><b>Stop:</b> {step.stop}</p>{/if}
              </div>
              <div class="grid content-start gap-2">
                {#if one.mark?.done}
                  <p>
                    <b>Done</b>
                    {#if one.mark.measured}<span class="number">{one.mark.measured}</span>{/if}
                    <span class="text-soft">{one.mark.madeBy}, {day(one.mark.madeAt, zone)}</span>
                    {#if one.mark.note}<span class="block">{one.mark.note}</span>{/if}
                  </p>
                  {#if one.mark.failure}
                    <p>
                      <SeverityMark severity="DANGER" /> <b>{one.mark.failure}</b>{step.stop
                        ? ': stop.'
                        : '.'}
                    </p>
                  {/if}
                  {#if !readonly}
                    <button
                      type="button"
                      class="no-print min-h-11 justify-self-start underline"
                      aria-label="not done after all: {step.what}"
                      disabled={busy}
                      onclick={() => mark(one, false)}>not done after all</button
                    >
                  {/if}
                {:else if !readonly && view.round > 0}
                  <form
                    class="no-print flex flex-wrap gap-2"
                    onsubmit={(event) => {
                      event.preventDefault();
                      void mark(one, true);
                    }}
                  >
                    {#if step.expect}
                      <input
                        class="{FIELD} number w-28"
                        placeholder={step.between ? `measured, ${step.between.unit}` : 'measured'}
                        maxlength="300"
                        autocomplete="off"
                        aria-label="measured: {step.what}"
                        value={of(one).measured}
                        oninput={(event) => type(one, { measured: event.currentTarget.value })}
                      />
                    {/if}
                    <input
                      class="{FIELD} w-36"
                      placeholder="note"
                      maxlength="300"
                      autocomplete="off"
                      aria-label="note: {step.what}"
                      value={of(one).note}
                      oninput={(event) => type(one, { note: event.currentTarget.value })}
                    />
                    <Action type="submit" disabled={busy} aria-label="Done: {step.what}">Done</Action>
                  </form>
                {/if}
                <StepPhotos
                  {site}
                  {step}
                  round={view?.round ?? 0}
                  photos={one.photos}
                  {readonly}
                  {zone}
                  {take}
                />
              </div>
            </li>
          {/each}
        </ol>
      </section>
    {/if}
  {/each}
{/if}
