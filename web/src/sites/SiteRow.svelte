<script lang="ts">
  import type { SiteInList } from '../lib/api/api';
  import { decimal, day, instant } from '../lib/sentence/quantity';
  import { session } from '../lib/shell/session.svelte';
  import Action from '../lib/shell/Action.svelte';
  import DateField from '../lib/shell/DateField.svelte';
  import { FIELD } from '../lib/shell/fieldLook';
  import SeverityMark from '../lib/shell/SeverityMark.svelte';

  interface Props {
    site: SiteInList;
    setState: (site: SiteInList, state: 'ACTIVE' | 'ARCHIVED' | 'DELETED') => void;
    copy: (site: SiteInList, name: string) => void;
    repair: (site: SiteInList) => void;
    setCare: (site: SiteInList, benchTest: string, upkeep: string) => void;
  }
  let { site, setState, copy, repair, setCare }: Props = $props();

  const severities = ['DANGER', 'CAUTION', 'NOTE'] as const;
  const plan = $derived(site.plan);
  const late = $derived(site.upkeep !== undefined && site.upkeep < instant().slice(0, 10));
  let caring = $state(false);
  let copying = $state(false);
  /** A form that was asked for begins in its field. */
  function begun(field: HTMLInputElement) {
    field.select();
  }

  const open = $derived(severities.filter((severity) => (plan?.findings[severity] ?? 0) > 0));
</script>

<li
  class="grid grid-cols-1 gap-x-6 gap-y-1 px-4 py-4 lg:grid-cols-[minmax(15rem,1.1fr)_1.1fr_minmax(8rem,0.6fr)_1.3fr] md:px-6"
>
  <div class="min-w-0">
    {#if plan}
      <a
        class="text-lg font-bold underline decoration-rule-strong underline-offset-4"
        href="#/site/{site.id}/plan">{site.name}</a
      >
    {:else}
      <p class="text-lg font-bold">{site.name}</p>
    {/if}
  </div>
  {#if plan}
    <p>
      <span class="number">{decimal(plan.nominalVolts)}</span> V,
      <span class="number">{decimal(plan.capacityAmpereHours)}</span>
      Ah, <span class="number">{decimal(plan.arrayWatts)}</span> W array, {plan.outputs} outputs
    </p>
    <p class="flex flex-wrap gap-3">
      {#each open as severity (severity)}
        <SeverityMark {severity} count={plan.findings[severity] ?? 0} />
      {:else}
        <span class="text-soft">no open findings</span>
      {/each}
    </p>
    <p class="text-soft">
      revision <span class="number">{plan.revision.number}</span>, {day(plan.revision.savedAt)}, {plan
        .revision.author}
      {#if plan.drafts.length > 0}<span class="block font-bold text-ink"
          >draft: unsaved changes of {plan.drafts.join(', ')}</span
        >{/if}
      {#if plan.unsent > 0}<span class="block font-bold text-caution"
          >{plan.unsent} {plan.unsent === 1 ? 'device' : 'devices'} without these settings</span
        >{/if}
      {#if plan.drifted > 0}<span class="block font-bold text-caution"
          >{plan.drifted} {plan.drifted === 1 ? 'device has' : 'devices have'} drifted</span
        >{/if}
      <span class="block {late ? 'font-bold text-caution' : ''}"
        >{site.benchTest ? `bench test ${day(site.benchTest)}` : 'no bench test yet'}{site.upkeep
          ? `, ${late ? 'upkeep was due' : 'upkeep'} ${day(site.upkeep)}`
          : ''}</span
      >
    </p>
  {:else if site.unreadable}
    <p class="text-danger lg:col-span-3" role="alert">
      {site.unreadable}
      {#if session.mayChange}
        <button class="act" aria-label="Repair {site.name}" onclick={() => repair(site)}
          >Bring back the newest revision that can be read</button
        >
      {/if}
    </p>
  {:else}
    <p class="text-soft lg:col-span-3">Still to be taken down: nothing is recorded of it yet.</p>
  {/if}
  {#if session.mayChange}
    <div class="flex flex-wrap gap-x-5 text-sm lg:col-span-4">
      {#if plan}
        <button
          class="act"
          aria-label="Duplicate {site.name}"
          aria-expanded={copying}
          onclick={() => (copying = !copying)}>Duplicate…</button
        >
      {/if}
      {#if site.state === 'ARCHIVED'}
        <button class="act" aria-label="Restore {site.name}" onclick={() => setState(site, 'ACTIVE')}
          >Restore</button
        >
      {:else}
        <button class="act" aria-label="Archive {site.name}" onclick={() => setState(site, 'ARCHIVED')}
          >Archive</button
        >
      {/if}
      <button
        class="act"
        aria-label="Care of {site.name}"
        aria-expanded={caring}
        onclick={() => (caring = !caring)}>Bench test and upkeep…</button
      >
      <button class="act" aria-label="Delete {site.name}" onclick={() => setState(site, 'DELETED')}
        >Delete</button
      >
    </div>
  {/if}
  {#if copying}
    <form
      class="mt-2 flex flex-wrap items-end gap-3 lg:col-span-4"
      onsubmit={(event) => {
        event.preventDefault();
        copy(site, String(new FormData(event.currentTarget).get('name')));
        copying = false;
      }}
    >
      <label class="grid gap-1 text-sm text-soft"
        >name of the copy<input
          use:begun
          class="{FIELD} w-72 max-w-full"
          name="name"
          required
          maxlength="120"
          pattern=".*\S.*"
          title="a name, not all blank"
          value="{site.name} 2"
        /></label
      >
      <Action type="submit">Make the copy</Action>
      <Action onclick={() => (copying = false)}>Cancel</Action>
    </form>
  {/if}
  {#if caring}
    <form
      class="mt-2 flex flex-wrap items-end gap-3 lg:col-span-4"
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
</li>

<style>
  .act {
    min-height: 2rem;
    color: var(--ink-soft, var(--ink));
    text-decoration: underline;
    text-decoration-color: var(--rule-strong);
    text-underline-offset: 4px;
  }
  @media (pointer: coarse) {
    .act {
      min-height: 44px;
    }
  }
</style>
