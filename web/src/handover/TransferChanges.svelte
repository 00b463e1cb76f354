<script lang="ts">
  import type { TransferView } from '../lib/api/api';

  /** What changes in a device, part by part, in the order of its menu: what it holds, and what is planned. */
  interface Props {
    transfer: TransferView;
    /** What a part is called, by its id. */
    name: (id: string) => string;
    /** Places of its entries, in the order of its menu. */
    menu: string[];
  }
  let { transfer, name, menu }: Props = $props();

  const changes = $derived(
    [...transfer.content.changes].sort((one, other) => menu.indexOf(one.place) - menu.indexOf(other.place)),
  );
  const unit = (value: string, one: { unit: string }) => `${value} ${one.unit}`.trim();
</script>

<ul>
  {#each changes as one, i (one.place)}
    {#if one.at !== changes[i - 1]?.at}<li class="pt-2 font-bold">{name(one.at)}</li>{/if}
    <li
      class="grid max-w-3xl grid-cols-[minmax(0,1fr)_auto_auto] items-baseline gap-x-4 border-t border-rule py-1"
    >
      <span>{one.label}</span>
      <span class="number text-soft">{unit(one.holds, one)} →</span>
      <b class="number text-right text-lg">{unit(one.planned, one)}</b>
    </li>
  {/each}
</ul>
