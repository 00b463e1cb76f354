<script lang="ts">
  import type { Comparison } from '../lib/api/api';
  import Better from './Better.svelte';
  import { tells } from './better';
  import { fixed } from '../lib/sentence/quantity';
  import { listed } from '../lib/shell/listed';

  /** The figures of two runs side by side; bold where the difference is more than what tells nothing. */
  let { figures, heads }: { figures: Comparison['figures']; heads: string[] } = $props();
</script>

<section aria-labelledby="both">
  <h2 id="both">Both</h2>
  <table {@attach listed} class="mt-2 w-full max-w-4xl">
    <thead class="text-sm text-soft">
      <tr>
        <th class="py-1 text-left font-normal">figure</th>
        {#each [...heads, 'difference'] as head (head)}<th class="py-1 pl-4 text-right font-normal">{head}</th
          >{/each}
        <th></th>
      </tr>
    </thead>
    <tbody>
      {#each figures as figure (figure.what)}
        {@const differs = tells(figure)}
        <tr class="border-t border-rule {differs ? 'font-bold' : ''}">
          <th scope="row" class="py-1 text-left {differs ? '' : 'font-normal'}">{figure.what}</th>
          {#each [figure.before, figure.after, figure.after - figure.before] as value, i (i)}
            <td class="number py-1 pl-4 text-right"
              >{i === 2 && value > 0 ? '+' : ''}{fixed(value, figure.unit === 'V' ? 2 : 1)}
              {figure.unit}</td
            >
          {/each}
          <td class="w-24 py-1 pl-4"><Better {figure} /></td>
        </tr>
      {/each}
    </tbody>
  </table>
</section>
