<script lang="ts">
  import type { Plan, RunPart, RunSummary } from '../lib/api/api';
  import { duration } from '../lib/sentence/quantity';
  import { listed } from '../lib/shell/listed';

  /** What each output did, in a run or in a part of it; of the whole run why one stayed still, and what is counted down at its end. */
  interface Props {
    run: Pick<RunPart, 'outputs'>;
    whole?: RunSummary | undefined;
    plan: Plan;
  }
  let { run, whole, plan }: Props = $props();

  const minutes = (seconds: number) => duration(Math.round(seconds / 60) * 60);
  const outputName = (id: string) => plan.program.outputs.find((one) => one.id === id)?.name ?? id;
</script>

<section aria-labelledby="relays">
  <h2 id="relays">What outputs did</h2>
  <div class="overflow-x-auto">
    <table {@attach listed} class="mt-2 w-full text-left">
      <thead class="text-sm text-soft">
        <tr>
          <th class="py-1 font-normal">output</th>
          <th class="py-1 pl-4 text-right font-normal">switchings</th>
          <th class="py-1 pl-4 text-right font-normal">open</th>
          <th class="py-1 pl-4 text-right font-normal">cut while needed</th>
        </tr>
      </thead>
      <tbody>
        {#each run.outputs as output (output.output)}
          <tr class="border-t border-rule">
            <th scope="row" class="py-1 font-normal">
              {outputName(output.output)}
              {#if whole?.whyNot[output.output]}
                <span class="block text-sm text-soft">stayed still: {whole.whyNot[output.output]}</span>
              {/if}
              {#each whole?.outputs.find((one) => one.output === output.output)?.countdowns ?? [] as timer (timer.what)}
                <span class="block text-sm text-soft"
                  >runs at the end: {timer.what}, {duration(Math.round(timer.remainingSeconds))} left</span
                >
              {/each}
            </th>
            <td class="number py-1 pl-4 text-right align-top">{output.switchings}</td>
            <td class="number py-1 pl-4 text-right align-top">{minutes(output.openSeconds)}</td>
            <td class="number py-1 pl-4 text-right align-top">{minutes(output.cutSeconds)}</td>
          </tr>
        {/each}
      </tbody>
    </table>
  </div>
</section>
