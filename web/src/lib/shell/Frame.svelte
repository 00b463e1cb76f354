<script module lang="ts">
  /** Somebody went here by keys: the focus goes along, to what the place is called. */
  let byKeys = false;
</script>

<script lang="ts">
  import { onMount, type Snippet } from 'svelte';
  import { push } from 'svelte-spa-router';
  import { gate } from '../along/gate.svelte';
  import { roleTold, session } from './session.svelte';
  import { singleKeys } from './singleKeys.svelte';
  import Shortcuts from './Shortcuts.svelte';
  import { theme } from './theme.svelte';

  interface Props {
    /** What the page shows, for the header and the window's title. */
    title: string;
    /** Site whose places are offered in the rail; none on the list of sites. */
    site?: string;
    /** Which place this is. */
    place?: 'sites' | 'plan' | 'bench' | 'season' | 'handover' | 'log' | 'account' | 'accounts';
    /** Beside the title: revision, saving. */
    header?: Snippet;
    children: Snippet;
  }
  let { title, site, place, header, children }: Props = $props();

  let helping = $state(false);
  let going = false;
  const places = $derived([
    { key: 'sites', name: 'Sites', letter: 's', address: '/' },
    ...(site
      ? [
          { key: 'plan', name: 'Plan', letter: 'p', address: `/site/${site}/plan` },
          { key: 'bench', name: 'Bench', letter: 'b', address: `/site/${site}/bench` },
          { key: 'season', name: 'Season', letter: 'e', address: `/site/${site}/season` },
          { key: 'handover', name: 'Handover', letter: 'h', address: `/site/${site}/handover` },
          { key: 'log', name: 'Log', letter: 'l', address: `/site/${site}/log` },
        ]
      : session.administers
        ? [{ key: 'accounts', name: 'People', letter: 'a', address: '/accounts' }]
        : []),
  ]);

  let heading = $state<HTMLHeadingElement>();
  let content = $state<HTMLElement>();

  onMount(() => {
    if (byKeys) heading?.focus();
    byKeys = false;
  });

  function keys(event: KeyboardEvent) {
    const target = event.target as HTMLElement;
    if (event.ctrlKey || event.metaKey || event.altKey || target.matches('input, select, textarea')) return;
    if (!singleKeys.on) return;
    if (event.key === '?') helping = !helping;
    else if (event.key === 'Escape' && helping) {
      helping = false;
      // It closes this and nothing under it.
      event.preventDefault();
    } else if (going) {
      const chosen = places.find((one) => one.letter === event.key);
      if (chosen && chosen.key !== place) {
        byKeys = true;
        void push(chosen.address);
      }
    }
    going = event.key === 'g';
  }
</script>

<svelte:window onkeydown={keys} />
<svelte:head><title>{title} – Sparen</title></svelte:head>

<button
  class="sr-only bg-ink font-bold text-paper focus:not-sr-only focus:fixed focus:top-2 focus:left-2 focus:z-50 focus:px-4 focus:py-3"
  onclick={() => content?.focus()}>Skip to the content</button
>
<div
  class="grid min-h-screen grid-cols-1 print:block grid-rows-[auto_1fr] md:grid-cols-[7.5rem_1fr] md:grid-rows-1"
>
  <nav
    class="no-print flex items-stretch border-rule bg-sunk md:sticky md:top-0 md:h-screen md:flex-col md:border-r"
    aria-label="Places"
  >
    <a href="#/" class="hidden px-4 py-4 text-xl font-bold md:block" aria-label="Sparen, to the sites"
      >Sparen</a
    >
    {#each places as one (one.key)}
      <a
        href="#{one.address}"
        class="flex min-h-11 items-center px-2 max-[374px]:px-1 max-[374px]:text-sm md:px-4 {place === one.key
          ? 'bg-paper font-bold max-md:border-b-4 max-md:border-ink md:border-l-4 md:border-ink md:pl-3'
          : ''}"
        aria-current={place === one.key ? 'page' : undefined}>{one.name}</a
      >
    {/each}
    <div
      class="ml-auto flex items-center px-1 max-[374px]:px-0 md:gap-1 md:px-2 md:mt-auto md:ml-0 md:flex-col md:items-stretch md:py-3"
    >
      <button
        class="min-h-11 px-2 text-left text-sm max-[374px]:px-1 {site ? 'max-md:hidden' : ''}"
        onclick={() => theme.toggle()}
      >
        {theme.dark ? 'Light' : 'Dark'}<span class="max-md:sr-only">&nbsp;ground</span>
      </button>
      <button class="hidden min-h-11 px-2 text-left text-sm md:block" onclick={() => (helping = true)}>
        Shortcuts
      </button>
      <button
        class="min-h-11 px-2 text-left text-sm whitespace-nowrap max-[374px]:px-1 {site
          ? 'max-md:hidden'
          : ''}"
        onclick={() => session.signOut()}>Sign out</button
      >
      {#if session.person}
        {@const { fullName, role } = session.person}
        <a
          href="#/account"
          class="flex min-h-11 items-center px-2 text-sm underline-offset-4 hover:underline {site
            ? 'max-md:hidden'
            : ''} {place === 'account' ? 'font-bold' : 'text-soft'}"
          aria-label="Your account: {fullName}"
          aria-current={place === 'account' ? 'page' : undefined}
          ><span class="max-md:hidden">{fullName}{role === 'TECHNICIAN' ? '' : `, ${roleTold(role)}`}</span
          ><span class="md:hidden">You</span></a
        >
      {/if}
    </div>
  </nav>
  <div class="min-w-0">
    {#if gate.broken}
      <p class="border-b border-rule border-l-4 border-l-danger bg-raised px-4 py-2 md:px-6" role="alert">
        What was taken along in this browser cannot be opened: {gate.broken}. It is not lost; another look, or
        a newer browser, may open it.
      </p>
    {/if}
    {#if gate.along}
      {@const along = gate.along}
      {#await import('../along/AlongLine.svelte') then { default: AlongLine }}<AlongLine
          {along}
          {site}
        />{/await}
    {/if}
    <header
      class="flex min-h-12 flex-wrap items-center gap-x-6 gap-y-1 border-b border-rule px-4 py-1 md:min-h-16 md:px-6 md:py-2"
    >
      <h1 bind:this={heading} class="min-w-0 max-md:text-lg" tabindex="-1">{title}</h1>
      {@render header?.()}
    </header>
    <main bind:this={content} tabindex="-1" class="focus-visible:outline-none">{@render children()}</main>
  </div>
</div>
{#if helping}<Shortcuts close={() => (helping = false)} />{/if}
