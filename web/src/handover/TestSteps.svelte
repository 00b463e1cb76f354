<script lang="ts">
  import type { BenchTestView } from '../lib/api/api';
  import type { BenchTests } from './benchTests.svelte';
  import TestStep from './TestStep.svelte';

  /** The levels of a test, output by output: what is expected, how to try it, what was measured. */
  interface Props {
    tests: BenchTests;
    test: BenchTestView;
    readonly: boolean;
    zone: string;
  }
  let { tests, test, readonly, zone }: Props = $props();
</script>

<ul class="px-4 md:px-6">
  {#each test.steps as one, i (one.step.id)}
    {@const step = one.step}
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
    <TestStep {tests} {test} {one} {readonly} {zone} />
  {/each}
</ul>
