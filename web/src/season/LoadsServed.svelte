<script lang="ts">
  import type { Plan, RunPart } from '../lib/api/api';
  import { energy, fixed } from '../lib/sentence/quantity';
  import { listed } from '../lib/shell/listed';

  /** How each load was served, in a run or in a part of it. */
  let { run, plan }: { run: Pick<RunPart, 'ledger' | 'loads'>; plan: Plan } = $props();

  const loads = $derived(
    plan.site.loads.map((load) => {
      const served = run.ledger.servedByLoad[load.id] ?? run.ledger.divertedByLoad[load.id] ?? 0;
      const unserved = run.ledger.unservedByLoad[load.id] ?? 0;
      return {
        load,
        served,
        unserved,
        share: served + unserved > 0 ? served / (served + unserved) : 1,
        figures: run.loads.find((one) => one.load === load.id),
      };
    }),
  );
</script>

<section aria-labelledby="service">
  <h2 id="service">How loads were served</h2>
  <div class="overflow-x-auto">
    <table {@attach listed} class="mt-2 w-full text-left">
      <thead class="text-sm text-soft">
        <tr>
          <th class="py-1 font-normal">load</th>
          <th class="py-1 pl-4 text-right font-normal">had</th>
          <th class="py-1 pl-4 text-right font-normal">lacked</th>
          <th class="py-1 pl-4 text-right font-normal">served</th>
          <th class="py-1 pl-4 text-right font-normal">lost its voltage</th>
        </tr>
      </thead>
      <tbody>
        {#each loads as { load, served, unserved, share, figures } (load.id)}
          <tr class="border-t border-rule">
            <th scope="row" class="py-1 font-normal"
              >{load.name}{#if load.critical}<span class="text-sm text-soft">, critical</span>{/if}</th
            >
            <td class="number py-1 pl-4 text-right">{energy(served)}</td>
            <td
              class="number py-1 pl-4 text-right {unserved > 0 && load.critical
                ? 'font-bold text-danger'
                : ''}">{load.use === 'DIVERSION' ? '' : energy(unserved)}</td
            >
            <td class="number py-1 pl-4 text-right"
              >{load.use === 'DIVERSION' ? 'surplus' : `${fixed(share * 100, 1)} %`}</td
            >
            <td class="number py-1 pl-4 text-right">{figures ? `${figures.losses} ×` : ''}</td>
          </tr>
        {/each}
      </tbody>
    </table>
  </div>
</section>
