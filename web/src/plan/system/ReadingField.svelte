<script lang="ts">
  import { FIELD } from '../../lib/shell/fieldLook';

  /** A reading off an instrument, as somebody types it. */
  let { label, value = $bindable() }: { label: string; value: string } = $props();
</script>

<label class="text-sm"
  >{label}<input class="{FIELD} number mt-1 block w-28" inputmode="decimal" bind:value /></label
>
