<script lang="ts">
  import { session } from '../lib/shell/session.svelte';
  import type { SiteList } from './siteList.svelte';

  /** Why no site is listed, and what to do about it. */
  interface Props {
    list: SiteList;
    load: () => void;
    /** What is shown of all sites, in words. */
    filterSays: string | undefined;
  }
  let { list, load, filterSays }: Props = $props();
</script>

{#if list.search === '' && list.filter === 'all'}
  {#if list.archived}
    <p class="p-6">Nothing is put away.</p>
  {:else}
    <p class="p-6">
      {list.putAway > 0 ? 'Every site is archived.' : 'No site yet.'}{#if session.mayChange}&nbsp;<a
          class="underline"
          href="#/new">Make {list.putAway > 0 ? 'another' : 'the first'}</a
        >{#if session.administers && list.putAway === 0}, or <a class="underline" href="#/accounts"
            >let the others in</a
          >{/if}.{/if}
    </p>
  {/if}
{:else}
  <p class="p-6">
    No site {list.filter === 'all' ? '' : `${filterSays} `}{list.search
      ? `is called “${list.search}”`
      : 'is here'}.
    <button
      class="underline"
      onclick={() => {
        list.search = '';
        list.filter = 'all';
        load();
      }}>Show all</button
    >
  </p>
{/if}
