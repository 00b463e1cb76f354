<script lang="ts">
  import Action from '../lib/shell/Action.svelte';
  import { duration } from '../lib/sentence/quantity';
  import type { Walked } from '../lib/api/api';
  import { shownValue, type Bench } from './bench.svelte';
  import Story from './Story.svelte';
  import { listed } from '../lib/shell/listed';
  import Icon from '../lib/shell/Icon.svelte';

  /** Every level walked up or down: what was expected, what happened, what never switched. */
  let { bench, names }: { bench: Bench; names: Record<string, string> } = $props();

  /** As close as a hand with a good meter comes (V), and what a report rounds to (fraction). */
  const NEAR = { volts: 0.02, charge: 0.01 };

  function cross(row: Walked['row']) {
    const near = row.knob.unit === '%' ? NEAR.charge : NEAR.volts;
    void bench.crossSlowly(row.knob.id, row.expected, row.falling, near);
    window.scrollTo({ top: 0 });
  }

  const wrong = $derived((bench.walked ?? []).filter((one) => !one.asExpected).length);
</script>

<section class="border-t border-rule px-4 py-5 md:px-6" aria-labelledby="walk">
  <div class="flex flex-wrap items-center gap-4">
    <h2 id="walk">Auto bench</h2>
    <p class="grow basis-64 text-soft">
      Each level alone: a hundredth of a volt before it the contact must stay, a hundredth past it it must
      move.
    </p>
    <div class="flex flex-wrap gap-2">
      <Action onclick={() => bench.walk()} disabled={bench.walking}
        >{bench.walking ? 'Walking' : 'Walk every level'}</Action
      >
      <Action onclick={() => bench.walkThrough()} disabled={bench.walking}>Walk once down and up</Action>
    </div>
  </div>
  {#if bench.through}<Story walk={bench.through} {bench} {names} />{/if}
  {#if bench.walked}
    <p class="mt-2" role="status">
      {bench.walked.length} levels, {wrong === 0 ? 'all as expected' : `${wrong} not as expected`}. Simulated.
    </p>
    <div class="overflow-x-auto">
      <table {@attach listed} class="mt-2 w-full max-w-5xl text-left">
        <thead class="text-sm text-soft">
          <tr>
            <th class="py-1 pr-4 font-normal">output</th>
            <th class="py-1 pr-4 font-normal">level</th>
            <th class="py-1 pr-4 text-right font-normal">expected at</th>
            <th class="py-1 pr-4 font-normal">just before</th>
            <th class="py-1 pr-4 text-right font-normal">its delay</th>
            <th class="py-1 pr-4 text-right font-normal">moved after</th>
            <th class="py-1 font-normal"></th>
            <th class="no-print py-1 font-normal"></th>
          </tr>
        </thead>
        <tbody>
          {#each bench.walked as { row, asExpected } (row.output + row.term + row.knob.id)}
            <tr class="border-t border-rule {asExpected ? '' : 'text-danger'}">
              <td class="py-1 pr-4">{names[row.output] ?? row.output}</td>
              <td class="py-1 pr-4"><Icon sign={row.falling ? 'falls' : 'rises'} /> {row.term}</td>
              <td class="number py-1 pr-4 text-right">{shownValue(row.knob, row.expected)}</td>
              <td class="py-1 pr-4">{row.stays ? 'stays' : 'moves'}</td>
              <td class="number py-1 pr-4 text-right"
                >{row.delaySeconds === undefined ? '' : duration(row.delaySeconds)}</td
              >
              <td class="number py-1 pr-4 text-right"
                >{row.movedAfterSeconds === undefined
                  ? 'never'
                  : duration(Math.round(row.movedAfterSeconds * 10) / 10)}</td
              >
              <td class="py-1 pr-4 font-bold">{asExpected ? '' : 'not as expected'}</td>
              <td class="no-print py-1">
                {#if !bench.live}
                  <button
                    class="min-h-11 text-sm underline"
                    onclick={() => cross(row)}
                    aria-label="Cross slowly {row.term} of {names[row.output] ?? row.output}"
                    >Cross slowly</button
                  >
                {/if}
              </td>
            </tr>
          {/each}
        </tbody>
      </table>
    </div>
  {/if}
</section>
