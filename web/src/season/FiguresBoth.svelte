<script lang="ts">
  import type { Comparison } from '../lib/api/api';
  import Better from './Better.svelte';
  import { tells } from './better';
  import { fixed } from '../lib/sentence/quantity';

  /** The figures of two runs side by side; bold where the difference is more than what tells nothing. */
  let { figures }: { figures: Comparison['figures'] } = $props();
</script>

<section class="overflow-x-auto px-4 pt-4 pb-8 md:px-6" aria-labelledby="figures">
  <h2 id="figures">Figures</h2>
  <table class="mt-2 w-full max-w-4xl">
    <thead class="text-sm text-soft">
      <tr>
        <th class="py-1 text-left font-normal">figure</th>
        {#each ['first', 'second', 'difference'] as head (head)}<th class="py-1 pl-4 text-right font-normal"
            >{head}</th
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
