<script lang="ts">
  import { createWindowVirtualizer } from '@tanstack/svelte-virtual';
  import { get } from 'svelte/store';
  import type { SiteInList } from '../lib/api/api';
  import type { ActsOnSites } from './siteActs.svelte';
  import SiteRow from './SiteRow.svelte';

  /** Rows of sites, of which only those about the window are there: however long the list, the page stays light. */
  let { sites, label, acts }: { sites: SiteInList[]; label: string; acts: ActsOnSites } = $props();

  /** As a row is while nothing of it is opened (px). */
  const USUAL_HEIGHT = 65;
  const rows = createWindowVirtualizer<HTMLLIElement>({
    count: 0,
    estimateSize: () => USUAL_HEIGHT,
    overscan: 10,
  });
  let list = $state<HTMLUListElement>();
  /** Where the list begins on the page (px). */
  let top = $state(0);

  $effect(() => {
    get(rows).setOptions({
      count: sites.length,
      getItemKey: (index) => sites[index]?.id ?? index,
      scrollMargin: top,
    });
  });
  /** What stands above may grow and shrink. */
  function place() {
    if (list) top = list.getBoundingClientRect().top + scrollY;
  }
  $effect(() => {
    place();
    const above = new ResizeObserver(place);
    above.observe(document.body);
    return () => above.disconnect();
  });

  /** A row tells its height, which changes where something in it is opened. */
  const measured = (index: number) => (row: HTMLLIElement) => {
    row.dataset.index = String(index);
    get(rows).measureElement(row);
  };
</script>

<ul bind:this={list} class="relative" style:height="{$rows.getTotalSize()}px" aria-label={label}>
  {#each $rows.getVirtualItems() as item (item.key)}
    {@const site = sites[item.index]}
    {#if site}
      <li
        class="absolute inset-x-0 px-4 md:px-6 {item.index > 0 ? 'border-t border-rule' : ''}"
        style:top="{item.start - top}px"
        aria-setsize={sites.length}
        aria-posinset={item.index + 1}
        {@attach measured(item.index)}
      >
        <SiteRow {site} {acts} />
      </li>
    {/if}
  {/each}
</ul>
