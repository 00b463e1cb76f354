<script lang="ts">
  import type { SiteInList } from '../lib/api/api';
  import Action from '../lib/shell/Action.svelte';
  import { FIELD } from '../lib/shell/fieldLook';
  import type { SiteList } from './siteList.svelte';

  /** Which sites something is done for; none is chosen before somebody says so. */
  let { list, chosen = $bindable() }: { list: SiteList; chosen: string[] } = $props();

  const sites = $derived(list.sites?.filter((site) => site.plan));
  const choose = (more: SiteInList[]) => (chosen = [...new Set([...chosen, ...more.map((site) => site.id)])]);
</script>

<fieldset>
  <legend class="mb-1 font-bold">Sites</legend>
  <div class="mb-2 flex flex-wrap items-center gap-3">
    <input
      class="{FIELD} w-56"
      type="search"
      aria-label="Search the sites"
      placeholder="name of a site"
      value={list.search}
      onchange={(event) => {
        list.search = event.currentTarget.value;
        void list.load();
      }}
    />
    <button type="button" class="min-h-11 underline" onclick={() => choose(sites ?? [])}
      >Choose all shown</button
    >
    <button type="button" class="min-h-11 underline" onclick={() => (chosen = [])}>Choose none</button>
    <p role="status">{chosen.length} chosen</p>
  </div>
  {#if !sites && !list.problem}<p role="status" class="text-soft">Reading the sites</p>{/if}
  <div class="grid gap-x-6 sm:grid-cols-2">
    {#each sites ?? [] as site (site.id)}
      <label class="flex min-h-11 items-center gap-2"
        ><input type="checkbox" class="size-5 accent-ink" value={site.id} bind:group={chosen} />{site.name}
        <span class="text-soft">{site.plan?.nominalVolts} V</span></label
      >
    {/each}
  </div>
  {#if list.hasMore}<Action onclick={() => list.more()}>Show more</Action>{/if}
</fieldset>
