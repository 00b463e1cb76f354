<script lang="ts">
  import { shownNumber } from '../lib/along/local';
  import type { Plan, Revision } from '../lib/api/api';
  import { FIELD } from '../lib/shell/fieldLook';
  import { AS_WRITTEN, NOW, WITHOUT_WINDOWS } from './compared';

  /** Which plan a run is of: as it is now, in one way or another, or as a revision has it. */
  interface Props {
    plan: Plan;
    revisions: Revision[];
    value: number;
    choose: (number: number) => void;
  }
  let { plan, revisions, value, choose }: Props = $props();
</script>

<label class="flex min-w-0 flex-col text-sm">
  plan
  <select class={FIELD} {value} onchange={(event) => choose(Number(event.currentTarget.value))}>
    <option value={NOW}>as it is now, with unsaved changes</option>
    {#if plan.program.ac?.windows?.length}
      <option value={WITHOUT_WINDOWS}>as it is now, without its windows</option>
    {/if}
    {#if plan.program.devices?.length}
      <option value={AS_WRITTEN}>as it is written, whatever its devices make of it</option>
    {/if}
    {#each revisions as rev (rev.number)}
      <option value={rev.number}>revision {shownNumber(rev.number)}{rev.name ? `: ${rev.name}` : ''}</option>
    {/each}
  </select>
</label>
