<script lang="ts">
  import { shownNumber } from '../lib/along/local';
  import { gate } from '../lib/along/gate.svelte';
  import type { BenchTestView } from '../lib/api/api';
  import { untrack } from 'svelte';
  import { SiteNow } from '../lib/live/siteNow.svelte';
  import { day, decimal } from '../lib/sentence/quantity';
  import Action from '../lib/shell/Action.svelte';
  import { FIELD } from '../lib/shell/fieldLook';
  import Said from '../lib/shell/Said.svelte';
  import { session } from '../lib/shell/session.svelte';
  import Trouble from '../lib/shell/Trouble.svelte';
  import { BenchTests, standing } from './benchTests.svelte';
  import AgreementPart from './AgreementPart.svelte';
  import TestSteps from './TestSteps.svelte';

  /** The program tried on site: begun, measured, put back, signed; and the tests before. */
  interface Props {
    site: string;
    revision: number | undefined;
    readonly: boolean;
    zone: string;
  }
  let { site, revision, readonly, zone }: Props = $props();

  const tests = $derived(new BenchTests(site));
  const going = $derived(tests.going);
  let volts = $state('');
  let percent = $state('');
  let arrays = $state('');
  let what = $state('');
  let opened = $state('');

  $effect(() => {
    void gate.sent;
    void tests.load();
  });
  /** Where a device tells what the battery is at, nobody has to type it. */
  const live = $derived(new SiteNow(site));
  $effect(() => live.follow());
  $effect(() => {
    const { BATTERY_VOLTS, CHARGE_PERCENT, ARRAY_WATTS } = live.now?.numbers ?? {};
    untrack(() => {
      if (volts === '' && BATTERY_VOLTS !== undefined) volts = decimal(BATTERY_VOLTS, 2);
      if (percent === '' && CHARGE_PERCENT !== undefined) percent = decimal(CHARGE_PERCENT, 0);
      if (arrays === '' && ARRAY_WATTS !== undefined) arrays = decimal(ARRAY_WATTS, 0);
    });
  });

  const number = (text: string) => (text.trim() === '' ? undefined : Number(text.replace(',', '.')));
  const outdated = (test: BenchTestView) => test.steps.filter((one) => one.standing !== 'VALID').length;

  async function plug(event: SubmitEvent, test: BenchTestView) {
    event.preventDefault();
    if (await tests.plug(test, what)) what = '';
  }
</script>

{#snippet refusedAt(at: string)}
  {#if tests.refused?.at === at}<Said problem={tests.refused.problem} />{/if}
{/snippet}

{#if tests.problem}<Trouble problem={tests.problem} retry={() => tests.load()} />{/if}
{#if !tests.all}
  {#if !tests.problem}<p class="p-6 text-soft" role="status">Reading the tests</p>{/if}
{:else if going}
  <div class="px-4 py-6 md:px-6">
    <p class="text-3xl leading-9 font-bold" role="status">{standing(going)}</p>
    <p class="mt-2 text-soft">
      Revision <span class="number">{shownNumber(going.revision)}</span>, begun on {day(going.begunAt, zone)} by
      {going.begunBy}. What is expected is simulated; what counts is what you measure.
    </p>
    {#if !readonly}
      <form
        class="no-print mt-4 flex flex-wrap items-end gap-3"
        onsubmit={(event) => {
          event.preventDefault();
          void tests.battery(number(volts), number(percent), number(arrays));
        }}
        novalidate
      >
        <label class="grid gap-1"
          >measured with
          <input
            class="{FIELD} w-56"
            placeholder="meter, serial number"
            value={tests.instrument}
            oninput={(event) => {
              tests.instrument = event.currentTarget.value;
              tests.keep();
            }}
          /></label
        >
        <label class="grid gap-1"
          >the battery is at (V) <input
            class="{FIELD} number w-28"
            inputmode="decimal"
            bind:value={volts}
          /></label
        >
        <label class="grid gap-1"
          >and at (%) <input class="{FIELD} number w-24" inputmode="decimal" bind:value={percent} /></label
        >
        <label class="grid gap-1"
          >the arrays give (W) <input
            class="{FIELD} number w-28"
            inputmode="decimal"
            bind:value={arrays}
          /></label
        >
        <Action type="submit">Say how to try each level</Action>
        {@render refusedAt('battery')}
      </form>
    {/if}
  </div>
  <TestSteps {tests} test={going} {readonly} {zone} />
  <section class="border-t border-rule px-4 py-5 md:px-6" aria-labelledby="put-back">
    <h2 id="put-back">To be put back</h2>
    <ul class="mt-2 max-w-3xl">
      {#each going.plugged as one (one.id)}
        <li class="flex min-h-12 flex-wrap items-center gap-x-4 border-t border-rule">
          <span class="grow {one.removedAt ? 'text-soft' : 'font-bold'}"
            >{one.what}{one.removedAt ? `, taken away by ${one.removedBy}` : ''}</span
          >
          {#if !one.removedAt && !readonly}
            <Action onclick={() => tests.unplug(going, one.id)}>Taken away: {one.what}</Action>
          {/if}
        </li>
      {/each}
    </ul>
    {#if !readonly}
      <form
        class="no-print mt-3 flex flex-wrap items-end gap-3"
        onsubmit={(event) => plug(event, going)}
        novalidate
      >
        <label class="grid gap-1"
          >plugged in for the test
          <input class="{FIELD} w-72" placeholder="balancer, charger, laptop" bind:value={what} /></label
        >
        <Action type="submit" disabled={what.trim() === ''}>Note it</Action>
        {@render refusedAt('plugged')}
      </form>
    {/if}
  </section>
  <AgreementPart {site} {readonly} />
  <section class="border-t border-rule px-4 py-5 md:px-6" aria-labelledby="sign">
    <h2 id="sign">Sign</h2>
    {#if going.blocking.length > 0}
      <p class="mt-2">Before it can be signed:</p>
      <ul class="mt-1 max-w-3xl list-disc pl-5">
        {#each going.blocking as one (one)}<li>{one}</li>{/each}
      </ul>
    {:else}
      <p class="mt-2 max-w-3xl">
        Nothing is left. Signed, it stays as it is. A test says what was measured that day; it is no proof of
        safety. Work follows local code and licensed practice.
      </p>
    {/if}
    {#if !readonly}
      <div class="no-print mt-3 flex flex-wrap gap-3">
        <Action
          main
          onclick={() => tests.sign(going)}
          disabled={going.blocking.length > 0 || tests.busy !== ''}>Sign as {session.person?.fullName}</Action
        >
        <Action onclick={() => tests.end(going)} disabled={tests.busy !== ''}>End it unsigned</Action>
        <Action onclick={() => window.print()}>Print</Action>
      </div>
    {/if}
    {@render refusedAt('sign')}
  </section>
{:else}
  <div class="px-4 py-6 md:px-6">
    <p class="text-3xl leading-9 font-bold" role="status">
      {tests.before.length === 0 ? 'No test on site yet.' : 'No test goes on.'}
    </p>
    {#if !readonly}
      <p class="mt-4">
        <Action main onclick={() => tests.begin()}
          >Begin a test of revision {shownNumber(revision ?? 0)}</Action
        >
      </p>
    {/if}
    {@render refusedAt('begin')}
  </div>
{/if}
{#if tests.before.length > 0}
  <section class="border-t border-rule px-4 py-5 md:px-6" aria-labelledby="before">
    <h2 id="before">Before</h2>
    <ul class="mt-2">
      {#each tests.before as one (one.id)}
        {@const old = outdated(one)}
        <li class="border-t border-rule py-2">
          <p class="flex min-h-11 flex-wrap items-center gap-x-4">
            <b>{one.signed ? 'Signed' : 'Ended unsigned'}</b>
            <span
              >{one.endedBy}, {one.endedAt ? day(one.endedAt, zone) : ''}, revision {shownNumber(
                one.revision,
              )}</span
            >
            <span class="grow {old > 0 ? 'font-bold' : 'text-soft'}"
              >{old > 0
                ? `${old} of ${one.steps.length} tests hold no longer: the plan has changed`
                : `all ${one.steps.length} tests still hold`}</span
            >
            <button
              type="button"
              class="no-print min-h-11 underline"
              aria-expanded={opened === one.id}
              onclick={() => (opened = opened === one.id ? '' : one.id)}
              >{opened === one.id ? 'Close' : 'Open'} the test of {day(one.begunAt, zone)}</button
            >
          </p>
          {#if opened === one.id}
            <TestSteps {tests} test={one} readonly {zone} />
            {#if one.checksum}<p class="text-sm text-soft">
                Checksum <span class="font-mono break-all">{one.checksum}</span>
              </p>{/if}
          {/if}
        </li>
      {/each}
    </ul>
  </section>
{/if}
