<script lang="ts">
  import { onMount } from 'svelte';
  import Router, { type RouteDefinition } from 'svelte-spa-router';
  import { wrap } from 'svelte-spa-router/wrap';
  import { session } from './lib/shell/session.svelte';
  import NotFound from './lib/shell/NotFound.svelte';
  import SignInPage from './signin/SignInPage.svelte';
  import SitesPage from './sites/SitesPage.svelte';

  const routes: RouteDefinition = {
    '/': SitesPage,
    '/many': wrap({ asyncComponent: () => import('./sites/ManySitesPage.svelte') }),
    '/new': wrap({ asyncComponent: () => import('./sites/NewSitePage.svelte') }),
    '/site/:site/plan/:part?': wrap({ asyncComponent: () => import('./plan/PlanPage.svelte') }),
    '/site/:site/bench': wrap({ asyncComponent: () => import('./bench/BenchPage.svelte') }),
    '/site/:site/season/:part?': wrap({ asyncComponent: () => import('./season/SeasonPage.svelte') }),
    '*': NotFound,
  };

  onMount(() => session.load());
</script>

{#if !session.known}
  <p class="p-10 text-soft" role="status">Opening Sparen</p>
{:else if session.person}
  <Router {routes} />
{:else}
  <SignInPage />
{/if}
