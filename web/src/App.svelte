<script lang="ts">
  import { onMount } from 'svelte';
  import Router, { router, type RouteDefinition } from 'svelte-spa-router';
  import { wrap } from 'svelte-spa-router/wrap';
  import { session } from './lib/shell/session.svelte';
  import NotFound from './lib/shell/NotFound.svelte';
  import SignInPage from './signin/SignInPage.svelte';
  import SitesPage from './sites/SitesPage.svelte';

  const routes: RouteDefinition = {
    '/': SitesPage,
    '/along': wrap({ asyncComponent: () => import('./along/AlongPage.svelte') }),
    '/account': wrap({ asyncComponent: () => import('./accounts/AccountPage.svelte') }),
    '/accounts/:part?': wrap({ asyncComponent: () => import('./accounts/AccountsPage.svelte') }),
    '/many': wrap({ asyncComponent: () => import('./sites/ManySitesPage.svelte') }),
    '/new': wrap({ asyncComponent: () => import('./sites/NewSitePage.svelte') }),
    '/site/:site/plan/:part?': wrap({ asyncComponent: () => import('./plan/PlanPage.svelte') }),
    '/site/:site/bench': wrap({ asyncComponent: () => import('./bench/BenchPage.svelte') }),
    '/site/:site/season/:part?': wrap({ asyncComponent: () => import('./season/SeasonPage.svelte') }),
    '/site/:site/handover/card': wrap({ asyncComponent: () => import('./handover/CardPage.svelte') }),
    '/site/:site/handover/:part?': wrap({ asyncComponent: () => import('./handover/HandoverPage.svelte') }),
    '/site/:site/log/:part?': wrap({ asyncComponent: () => import('./log/LogPage.svelte') }),
    '*': NotFound,
  };

  /** A one-time link is for who has it, signed in or not. */
  const link = $derived(/^\/welcome\/([\w-]+)$/.exec(router.location)?.[1]);
  const welcome = () => import('./accounts/WelcomePage.svelte');

  onMount(() => session.load());
</script>

{#if !session.known}
  <p class="p-10 text-soft" role="status">Opening Sparen</p>
{:else if link}
  {#await welcome()}
    <p class="p-10 text-soft" role="status">Opening Sparen</p>
  {:then { default: WelcomePage }}
    {#key link}<WelcomePage secret={link} />{/key}
  {/await}
{:else if session.person?.secondFactorWanted}
  {#await import('./accounts/AccountPage.svelte') then { default: AccountPage }}<AccountPage />{/await}
{:else if session.person}
  <Router {routes} />
{:else}
  <SignInPage />
{/if}
