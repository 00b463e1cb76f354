<script lang="ts">
  import Frame from '../lib/shell/Frame.svelte';
  import { session } from '../lib/shell/session.svelte';
  import Tabs from '../lib/shell/Tabs.svelte';
  import Accounts from './Accounts.svelte';
  import Crews from './Crews.svelte';
  import Trail from './Trail.svelte';

  /** Who is here, who looks after what, and what was done: for administrators. */
  let { params }: { params: { part?: string } | undefined } = $props();
  const part = $derived(params?.part ?? 'accounts');
  const tabs = [
    { key: 'accounts', name: 'Accounts' },
    { key: 'crews', name: 'Crews' },
    { key: 'trail', name: 'What was done' },
  ];
</script>

<Frame title="People" place="accounts">
  {#if session.administers}
    <Tabs {tabs} {part} address="/accounts" label="Parts of people" />
    <div class="max-w-5xl px-4 py-5 md:px-6">
      {#if part === 'crews'}<Crews />{:else if part === 'trail'}<Trail />{:else}<Accounts />{/if}
    </div>
  {:else}
    <p class="p-6">Only an administrator looks after accounts.</p>
  {/if}
</Frame>
