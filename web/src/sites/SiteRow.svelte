<script module lang="ts">
  import type { SiteInList } from '../lib/api/api';

  /** What can be done with a site in the list. */
  export interface SiteActs {
    setState: (site: SiteInList, state: 'ACTIVE' | 'ARCHIVED' | 'DELETED') => void;
    /** Makes a copy; whether it was made. */
    copy: (site: SiteInList, name: string) => Promise<boolean>;
    repair: (site: SiteInList) => void;
    setCare: (site: SiteInList, benchTest: string, upkeep: string) => void;
    takeAlong: (site: SiteInList) => void;
  }
</script>

<script lang="ts">
  import { measuredNumber } from '../lib/live/siteNow.svelte';
  import { decimal, instant } from '../lib/sentence/quantity';
  import { session } from '../lib/shell/session.svelte';
  import Action from '../lib/shell/Action.svelte';
  import DateField from '../lib/shell/DateField.svelte';
  import { FIELD } from '../lib/shell/fieldLook';
  import Menu from '../lib/shell/Menu.svelte';
  import SeverityMark from '../lib/shell/SeverityMark.svelte';
  import { needOf } from './need';
  import Spark from './Spark.svelte';

  let { site, acts }: { site: SiteInList; acts: SiteActs } = $props();
  const { setState, copy, repair, setCare, takeAlong } = $derived(acts);

  const LONGEST_NAME = 120;
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
  /** A form that was asked for begins in its field. */
  function begun(field: HTMLInputElement) {
    field.select();
  }
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
        <button class="min-h-8 underline" aria-label="Repair {site.name}" onclick={() => repair(site)}
          >Bring back the newest revision that can be read</button
        >
      {/if}
    </p>
    {#if plan || session.mayChangeAt(site.id)}
      <div class="max-md:col-start-3 max-md:row-start-1">
        <Menu label="More for {site.name}">
          {#if plan && site.state === 'ACTIVE'}{@render act('Take along', '', () => takeAlong(site))}{/if}
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
              {@render act('Restore', '', () => setState(site, 'ACTIVE'))}
            {:else}{@render act('Archive', '', () => setState(site, 'ARCHIVED'))}{/if}
            {@render act('Delete', '', () => setState(site, 'DELETED'))}
          {/if}
        </Menu>
      </div>
    {/if}
  </div>
  {#if copying}
    <form
      class="mb-4 flex flex-wrap items-end gap-3"
      onsubmit={(event) => {
        event.preventDefault();
        const name = String(new FormData(event.currentTarget).get('name'));
        // What could not be made keeps its form and its name.
        void copy(site, name).then((made) => (copying = !made));
      }}
    >
      <label class="grid gap-1 text-sm text-soft"
        >name of the copy<input
          use:begun
          class="{FIELD} w-72 max-w-full"
          name="name"
          required
          maxlength={LONGEST_NAME}
          pattern=".*\S.*"
          title="a name, not all blank"
          value="{site.name.slice(0, LONGEST_NAME - 2)} 2"
        /></label
      >
      <Action type="submit">Make the copy</Action>
      <Action onclick={() => (copying = false)}>Cancel</Action>
    </form>
  {/if}
  {#if caring}
    <form
      class="mb-4 flex flex-wrap items-end gap-3"
      onsubmit={(event) => {
        event.preventDefault();
        const data = new FormData(event.currentTarget);
        setCare(site, String(data.get('benchTest')), String(data.get('upkeep')));
        caring = false;
      }}
    >
      <DateField label="last bench test" name="benchTest" value={site.benchTest ?? ''} />
      <DateField label="next upkeep" name="upkeep" value={site.upkeep ?? ''} />
      <Action type="submit">Note it</Action>
      <Action onclick={() => (caring = false)}>Cancel</Action>
    </form>
  {/if}
</div>
