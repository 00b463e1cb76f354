<script lang="ts">
  import { shownNumber } from '../lib/along/local';
  import { gate } from '../lib/along/gate.svelte';
  import { day } from '../lib/sentence/quantity';
  import Action from '../lib/shell/Action.svelte';
  import Said from '../lib/shell/Said.svelte';
  import { session } from '../lib/shell/session.svelte';
  import Trouble from '../lib/shell/Trouble.svelte';
  import { BenchTests, standing } from './benchTests.svelte';
  import AgreementPart from './AgreementPart.svelte';
  import TestBattery from './TestBattery.svelte';
  import TestPutBack from './TestPutBack.svelte';
  import TestsBefore from './TestsBefore.svelte';
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

  $effect(() => {
    void gate.sent;
    void tests.load();
  });
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
      <TestBattery {tests} {site} />
    {/if}
  </div>
  <TestSteps {tests} test={going} {readonly} {zone} />
  <TestPutBack {tests} test={going} {readonly} />
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
<TestsBefore {tests} {zone} />
