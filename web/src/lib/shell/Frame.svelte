<script module lang="ts">
  /** Somebody went here by keys: the focus goes along, to what the place is called. */
  let byKeys = false;
</script>

<script lang="ts">
  import { onMount, type Snippet } from 'svelte';
  import { push } from 'svelte-spa-router';
  import { gate } from '../along/gate.svelte';
  import { placesOf, type Place } from './places';
  import Places from './Places.svelte';
  import { session } from './session.svelte';
  import { singleKeys } from './singleKeys.svelte';
  import Shortcuts from './Shortcuts.svelte';

  interface Props {
    /** What the page shows, for the header and the window's title. */
    title: string;
    /** Site whose places are offered in the rail; none on the list of sites. */
    site?: string;
    /** Which place this is. */
    place?: Place['key'];
    /** Beside the title: revision, saving. */
    header?: Snippet;
    children: Snippet;
  }
  let { title, site, place, header, children }: Props = $props();

  let helping = $state(false);
  let going = false;
  const places = $derived(placesOf(site, session.administers));

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
  <Places {places} {place} inSite={site !== undefined} help={() => (helping = true)} />
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
