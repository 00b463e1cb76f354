<script lang="ts">
  import type { SiteInList } from '../lib/api/api';
  import { measuredNumber } from '../lib/live/siteNow.svelte';
  import { decimal, instant } from '../lib/sentence/quantity';
  import { session } from '../lib/shell/session.svelte';
  import Menu from '../lib/shell/Menu.svelte';
  import SeverityMark from '../lib/shell/SeverityMark.svelte';
  import CareForm from './CareForm.svelte';
  import CopyForm from './CopyForm.svelte';
  import { needOf } from './need';
  import type { ActsOnSites } from './siteActs.svelte';
  import Spark from './Spark.svelte';

  let { site, acts }: { site: SiteInList; acts: ActsOnSites } = $props();

  const plan = $derived(site.plan);
  const need = $derived(needOf(site, instant().slice(0, 10)));
  /** What is measured there: a voltage and a charge stand in for what the battery is. */
  const now = $derived(
    Object.entries(site.now?.numbers ?? {})
      .filter(([what]) => what === 'BATTERY_VOLTS' || what === 'CHARGE_PERCENT')
      .map(([what, value]) => measuredNumber(what, value)),
  );
  let caring = $state(false);
  let copying = $state(false);
</script>

{#snippet act(what: string, after: string, run: () => void, words = what + after)}
  <button
    class="flex min-h-11 items-center px-4 text-left hover:bg-sunk"
    aria-label="{what} {site.name}"
    onclick={run}>{words}</button
  >
{/snippet}

<div>
  <div
    class="grid min-h-16 grid-cols-[1.5rem_minmax(0,1fr)_auto] items-center gap-x-4 md:grid-cols-[1.5rem_minmax(12rem,1fr)_10rem_10rem_minmax(0,1.4fr)_auto]"
  >
    <span>
      {#if need.rank >= 2}<SeverityMark severity={need.rank === 3 ? 'DANGER' : 'CAUTION'} brief />{/if}
    </span>
    {#if plan}
      <a
        class="flex min-h-11 min-w-0 items-center text-lg leading-6 font-bold underline decoration-rule-strong underline-offset-4"
        href="#/site/{site.id}/plan">{site.name}</a
      >
    {:else}
      <p class="text-lg leading-6 font-bold">{site.name}</p>
    {/if}
    <span class="max-md:col-start-2 max-md:row-start-4 max-md:pb-2">
      {#if site.ahead}<Spark ahead={site.ahead} />{/if}
    </span>
    <p class="text-soft max-md:col-start-2 max-md:row-start-3 max-md:pb-2">
      {#if now.length > 0}
        <span class="number font-bold text-ink" title="measured now">{now.join(' · ')}</span>
      {:else if plan}<span class="number">{decimal(plan.nominalVolts)} V</span> ·
        <span class="number">{decimal(plan.capacityAmpereHours)} Ah</span>{/if}
    </p>
    <p
      class="max-md:col-start-2 max-md:row-start-2 {need.rank === 3
        ? 'font-bold text-danger'
        : need.rank === 2
          ? 'font-bold text-caution'
          : need.rank === 1
            ? 'font-bold'
            : 'text-soft'}"
      role={site.unreadable ? 'alert' : undefined}
    >
      {need.says}
      {#if site.unreadable && session.mayChangeAt(site.id)}
        <button class="min-h-8 underline" aria-label="Repair {site.name}" onclick={() => acts.repair(site)}
          >Bring back the newest revision that can be read</button
        >
      {/if}
    </p>
    {#if plan || session.mayChangeAt(site.id)}
      <div class="max-md:col-start-3 max-md:row-start-1">
        <Menu label="More for {site.name}">
          {#if plan && site.state === 'ACTIVE'}{@render act('Take along', '', () =>
              acts.takeAlong(site),
            )}{/if}
          {#if plan}
            <a
              class="flex min-h-11 items-center px-4 hover:bg-sunk"
              href="/api/sites/{site.id}/bundle"
              aria-label="As a bundle {site.name}"
              download>As a bundle (zip)</a
            >
          {/if}
          {#if session.mayChangeAt(site.id)}
            {#if plan}{@render act('Duplicate', '…', () => (copying = true))}{/if}
            {@render act('Care of', '', () => (caring = true), 'Bench test and upkeep…')}
            {#if site.state === 'ARCHIVED'}
              {@render act('Restore', '', () => acts.setState(site, 'ACTIVE'))}
            {:else}{@render act('Archive', '', () => acts.setState(site, 'ARCHIVED'))}{/if}
            {@render act('Delete', '', () => acts.setState(site, 'DELETED'))}
          {/if}
        </Menu>
      </div>
    {/if}
  </div>
  {#if copying}
    <CopyForm {site} copy={(name) => acts.copy(site, name)} done={() => (copying = false)} />
  {/if}
  {#if caring}
    <CareForm
      {site}
      done={() => (caring = false)}
      setCare={(benchTest, upkeep) => acts.setCare(site, benchTest, upkeep)}
    />
  {/if}
</div>
