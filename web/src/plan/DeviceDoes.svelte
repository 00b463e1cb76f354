<script lang="ts">
  import type { FittedDevice, Output, Plan, Reading, Sentence } from '../lib/api/api';
  import { plain } from '../lib/sentence/plain';
  import { written } from '../lib/sentence/quantity';
  import { partName } from '../lib/shell/parts';

  /** What a device does with what is entered: its outputs in sentences, what hangs on them, its levels from the highest down. */
  interface Props {
    plan: Plan;
    device: FittedDevice;
    reading: Reading | undefined;
  }
  let { plan, device, reading }: Props = $props();

  const outputs = $derived(plan.program.outputs.filter((one) => device.outputs.includes(one.id)));
  const parts = $derived([
    ...device.outputs,
    ...[device.charger, device.inverter].filter((one) => one !== undefined),
  ]);
  const levels = $derived(
    (reading?.gauge.pegs ?? [])
      .filter((peg) => parts.includes(peg.at))
      .sort((one, other) => other.unit.localeCompare(one.unit) || other.value - one.value),
  );

  function says(output: Output): string[] {
    const read = reading?.outputs.find((one) => one.output === output.id);
    const rules: [Sentence | undefined, unknown][] = [
      [read?.automatic, output.automatic],
      [read?.protection, output.protection],
    ];
    return rules
      .filter(([sentence, rule]) => sentence !== undefined && rule !== undefined)
      .map(([sentence, rule]) => plain(sentence as Sentence, rule as Record<string, unknown>));
  }
</script>

{#if outputs.length > 0 || levels.length > 0}
  <aside class="mt-4 text-sm" aria-label="What {device.name} does">
    {#each outputs as output (output.id)}
      <h4 class="mt-3 text-base font-bold first:mt-0">{output.name}</h4>
      <p class="text-soft">
        {output.loads.length > 0 ? output.loads.map((id) => partName(plan, id)).join(', ') : 'a signal only'}
      </p>
      {#each says(output) as sentence (sentence)}<p class="mt-1">{sentence}</p>{/each}
    {/each}
    {#if levels.length > 0}
      <h4 class="mt-4 text-base font-bold">Levels, the highest first</h4>
      <ul class="mt-1">
        {#each levels as peg (peg.path)}
          <li class="grid grid-cols-[5rem_minmax(0,1fr)] gap-x-3 border-t border-rule py-0.5">
            <span class="number text-right font-bold">{written(peg.value, peg.unit)}</span>
            <span>{peg.term} <span class="text-soft">{peg.name}</span></span>
          </li>
        {/each}
      </ul>
    {/if}
  </aside>
{/if}
