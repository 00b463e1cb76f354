<script lang="ts">
  import type { Gauge } from '../lib/api/api';
  import type { Peg, Unit } from '../lib/gauge/pegs';
  import NumberChip from '../lib/sentence/NumberChip.svelte';
  import { fixed } from '../lib/sentence/quantity';
  import type { PlanEditor } from './planEditor.svelte';

  /** The levels of the gauge in numbers, the highest first: as set, a cell, and as a 12 V battery has them. */
  interface Props {
    editor: PlanEditor;
    gauge: Gauge | undefined;
    unit: Unit;
    pegs: Peg[];
    /** Paths of levels with something wrong. */
    wrong: Set<string>;
    readonly: boolean;
    move: (peg: Peg, value: number) => void;
  }
  let { editor, gauge, unit, pegs, wrong, readonly, move }: Props = $props();

  function error(path: string): string | undefined {
    return editor.refused.find((one) => one.pointer === `/${path}`)?.detail;
  }

  const cell = (volts: number) => fixed(volts / (gauge?.cellsInSeries ?? 1), 3);
  const of12 = (volts: number) =>
    fixed((volts / (gauge?.cellsInSeries ?? 1)) * (gauge?.cellsOf12Volts ?? 6), 2);
  const chip = (peg: Peg) => ({
    kind: 'number' as const,
    field: peg.path,
    label: `${peg.term} of ${peg.name}`,
    value: peg.value,
    unit: peg.unit,
    step: peg.unit === 'V' ? 0.1 : 1,
    bigStep: peg.unit === 'V' ? 0.5 : 5,
    least: peg.unit === '°C' ? -50 : 0,
    most: peg.unit === 'V' ? 1000 : peg.unit === '%' ? 100 : 90,
  });
</script>

<table class="mt-3 w-full text-left">
  <thead class="text-sm text-soft">
    <tr>
      <th class="py-1 pr-3 font-normal">level</th>
      <th class="py-1 pr-3 font-normal">set to</th>
      {#if unit === 'V'}
        <th class="py-1 pr-3 text-right font-normal max-[479px]:hidden">a cell</th>
        <th class="py-1 pr-3 text-right font-normal max-[479px]:hidden">as 12 V</th>
        <th class="py-1 text-right font-normal">±</th>
      {/if}
    </tr>
  </thead>
  <tbody>
    {#each pegs as peg (peg.path)}
      <tr class="border-t border-rule align-top {wrong.has(peg.path) ? 'text-danger' : ''}">
        <td class="py-1 pr-3">
          {peg.term}
          <span class="block text-sm text-soft"
            >{peg.name}{peg.sensePoint ? `, at ${peg.sensePoint}` : ''}</span
          >
        </td>
        <td class="py-1 pr-3"
          ><NumberChip
            chip={chip(peg)}
            value={peg.value}
            {readonly}
            error={error(peg.path)}
            change={(value) => move(peg, value)}
          />
          {#if peg.stands !== peg.value}<span class="number block text-sm text-soft"
              >now {fixed(peg.stands, 2)} V</span
            >{/if}
        </td>
        {#if unit === 'V'}
          <td class="number py-1 pr-3 text-right max-[479px]:hidden">{cell(peg.value)}</td>
          <td class="number py-1 pr-3 text-right max-[479px]:hidden">{of12(peg.value)}</td>
          <td class="number py-1 text-right">{fixed(peg.tolerance, 2)}</td>
        {/if}
      </tr>
    {:else}
      <tr><td class="py-2 text-soft" colspan="5">No level in {unit} is programmed here.</td></tr>
    {/each}
  </tbody>
</table>
