<script lang="ts">
  import type { Output } from '../lib/api/api';
  import { FIELD } from '../lib/shell/fieldLook';
  import { ALL } from './lines';

  /** Of which output the thresholds are drawn on the tape. */
  interface Props {
    outputs: Output[];
    /** Id of the chosen one. */
    of: string | undefined;
    choose: (id: string) => void;
    /** Offers those of all outputs at once too. */
    orAll?: boolean;
  }
  let { outputs, of, choose, orAll = false }: Props = $props();
</script>

<select
  class="{FIELD} no-print order-1 max-w-64"
  aria-label="thresholds of"
  title="thresholds drawn on the tape"
  value={of}
  onchange={(event) => choose(event.currentTarget.value)}
>
  {#each outputs as one (one.id)}<option value={one.id}>levels of {one.name}</option>{/each}
  {#if orAll}<option value={ALL}>levels of all outputs</option>{/if}
</select>
