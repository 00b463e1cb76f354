<script lang="ts">
  import type { Place } from './places';
  import { roleTold, session } from './session.svelte';
  import { theme } from './theme.svelte';

  /** Where one can go: a rail on a screen, a line on a phone. */
  interface Props {
    places: Place[];
    /** Which place this is. */
    place: Place['key'] | undefined;
    /** A site's places fill a phone's line: the rest is left to the list of sites there. */
    inSite: boolean;
    help: () => void;
  }
  let { places, place, inSite, help }: Props = $props();
</script>

<nav
  class="no-print flex items-stretch border-rule bg-sunk md:sticky md:top-0 md:h-screen md:flex-col md:border-r"
  aria-label="Places"
>
  <a href="#/" class="hidden px-4 py-4 text-xl font-bold md:block" aria-label="Sparen, to the sites">Sparen</a
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
      class="min-h-11 px-2 text-left text-sm max-[374px]:px-1 {inSite ? 'max-md:hidden' : ''}"
      onclick={() => theme.toggle()}
    >
      {theme.dark ? 'Light' : 'Dark'}<span class="max-md:sr-only">&nbsp;ground</span>
    </button>
    <button class="hidden min-h-11 px-2 text-left text-sm md:block" onclick={help}> Shortcuts </button>
    <button
      class="min-h-11 px-2 text-left text-sm whitespace-nowrap max-[374px]:px-1 {inSite
        ? 'max-md:hidden'
        : ''}"
      onclick={() => session.signOut()}>Sign out</button
    >
    {#if session.person}
      {@const { fullName, role } = session.person}
      <a
        href="#/account"
        class="flex min-h-11 items-center px-2 text-sm underline-offset-4 hover:underline {inSite
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
