<script lang="ts">
  import type { Year } from '../lib/api/api';
  import { day, energy, fixed } from '../lib/sentence/quantity';
  import { listed } from '../lib/shell/listed';

  /** The figures of each year, and the least, the middle and the most of all. */
  let { years }: { years: Year[] } = $props();

  const columns = [
    [
      'lowest charge',
      (year: Year) => year.lowestStateOfCharge * 100,
      (value: number) => `${fixed(value, 0)} %`,
    ],
    ['critical loads lack', (year: Year) => year.criticalUnservedJoules / 3600, energy],
    ['all loads lack', (year: Year) => year.unservedJoules / 3600, energy],
    ['diverted', (year: Year) => year.divertedJoules / 3600, energy],
    ['thrown away', (year: Year) => year.thrownAwayJoules / 3600, energy],
    ['generator', (year: Year) => year.generatorSeconds / 3600, (value: number) => `${fixed(value, 0)} h`],
    ['fuel', (year: Year) => year.litres, (value: number) => `${fixed(value, 0)} l`],
  ] as const;
  const shown = $derived(
    columns.filter(
      ([name, of]) => (name !== 'generator' && name !== 'fuel') || years.some((one) => of(one) > 0),
    ),
  );
  const spread = (of: (year: Year) => number) => {
    const sorted = years.map(of).sort((a, b) => a - b);
    return [sorted[0] ?? 0, sorted[Math.floor(sorted.length / 2)] ?? 0, sorted.at(-1) ?? 0] as const;
  };
</script>

<div class="overflow-x-auto">
  <table {@attach listed} class="w-full max-w-5xl text-right">
    <thead class="text-sm text-soft">
      <tr>
        <th class="py-1 text-left font-normal">weather no.</th>
        {#each shown as [name] (name)}<th class="py-1 pl-4 font-normal">{name}</th>{/each}
        <th class="py-1 pl-4 font-normal">worst fortnight from</th>
      </tr>
    </thead>
    <tbody>
      {#each years as year (year.weatherNumber)}
        <tr class="border-t border-rule">
          <th class="number py-1 text-left font-normal">{year.weatherNumber}</th>
          {#each shown as [name, of, say] (name)}<td class="number py-1 pl-4">{say(of(year))}</td>{/each}
          <td class="number py-1 pl-4">{year.worst ? day(year.worst.from, 'UTC') : ''}</td>
        </tr>
      {/each}
    </tbody>
    <tfoot>
      {#each ['least', 'middle', 'most'] as row, i (row)}
        <tr class="{i === 0 ? 'border-t-2 border-ink' : ''} font-bold">
          <th class="py-1 text-left">{row}</th>
          {#each shown as [name, of, say] (name)}<td class="number py-1 pl-4">{say(spread(of)[i] ?? 0)}</td
            >{/each}
          <td></td>
        </tr>
      {/each}
    </tfoot>
  </table>
</div>
