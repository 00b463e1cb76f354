<script lang="ts">
  import { shownNumber } from '../lib/along/local';
  import type { BenchTestView } from '../lib/api/api';
  import { day } from '../lib/sentence/quantity';
  import type { BenchTests } from './benchTests.svelte';
  import TestSteps from './TestSteps.svelte';

  /** The tests that ended, whether they still hold, and each opened as it was. */
  let { tests, zone }: { tests: BenchTests; zone: string } = $props();

  let opened = $state('');
  const outdated = (test: BenchTestView) => test.steps.filter((one) => one.standing !== 'VALID').length;
</script>

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
