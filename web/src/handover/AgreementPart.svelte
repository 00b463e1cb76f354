<script lang="ts">
  import { api, outcome, type Outcome, type Problem } from '../lib/api/client';
  import type { AgreementView } from '../lib/api/api';
  import { dayWritten } from '../lib/sentence/days';
  import { instant } from '../lib/sentence/quantity';
  import Action from '../lib/shell/Action.svelte';
  import DateField from '../lib/shell/DateField.svelte';
  import { FIELD } from '../lib/shell/fieldLook';
  import Said from '../lib/shell/Said.svelte';
  import SeverityMark from '../lib/shell/SeverityMark.svelte';
  import Trouble from '../lib/shell/Trouble.svelte';

  /** What has changed that the owner pays for or lives with, and that they agreed to it. */
  let { site, readonly }: { site: string; readonly: boolean } = $props();

  let view = $state.raw<AgreementView>();
  let problem = $state.raw<Problem>();
  let refused = $state.raw<Problem>();
  let busy = $state(false);
  const path = $derived({ siteId: site });

  async function load() {
    const answer = await outcome(api.GET('/api/sites/{siteId}/agreement', { params: { path } }));
    view = answer.data ?? view;
    problem = answer.problem;
  }
  $effect(() => {
    void load();
  });

  async function take(call: Promise<Outcome<AgreementView>>) {
    busy = true;
    const answer = await call;
    busy = false;
    refused = answer.problem;
    view = answer.data ?? view;
  }

  function agree(event: SubmitEvent & { currentTarget: HTMLFormElement }) {
    event.preventDefault();
    const data = new FormData(event.currentTarget);
    const body = {
      revision: view?.revision ?? 0,
      agreedBy: String(data.get('agreedBy')),
      agreedOn: String(data.get('agreedOn')),
    };
    void take(outcome(api.PUT('/api/sites/{siteId}/agreement', { params: { path }, body })));
  }
</script>

{#if problem}<Trouble {problem} retry={load} />{/if}
{#if view && (view.changes.length > 0 || view.agreed)}
  <section class="border-t border-rule px-4 py-5 md:px-6" aria-labelledby="agreed">
    <h2 id="agreed">Agreed with the owner</h2>
    {#if view.changes.length > 0}
      <p class="mt-2 max-w-3xl">
        Since revision <span class="number">{view.since}</span> they pay for or live with other numbers:
      </p>
      <ul class="mt-1 max-w-3xl list-disc pl-5">
        {#each view.changes as one (one)}<li>{one}</li>{/each}
      </ul>
    {/if}
    {#if view.agreed}
      <p class="mt-2">
        <b>Revision <span class="number">{view.revision}</span> agreed by {view.agreed.agreedBy}</b>, {dayWritten(
          view.agreed.agreedOn,
        )}; noted by {view.agreed.notedBy}.
        {#if !readonly}
          <button
            type="button"
            class="no-print min-h-11 underline"
            disabled={busy}
            onclick={() => take(outcome(api.DELETE('/api/sites/{siteId}/agreement', { params: { path } })))}
            >take back</button
          >
        {/if}
      </p>
    {:else}
      <p class="mt-2"><SeverityMark severity="CAUTION" /> <b>Nobody has agreed to that yet.</b></p>
      {#if !readonly}
        <form class="no-print mt-2 flex flex-wrap items-end gap-3" onsubmit={agree} novalidate>
          <label class="grid gap-1 text-sm text-soft"
            >agreed by <input
              class="{FIELD} w-56"
              name="agreedBy"
              autocomplete="off"
              maxlength="120"
            /></label
          >
          <DateField label="on" name="agreedOn" value={instant().slice(0, 10)} />
          <Action type="submit" disabled={busy}>Note that they agreed</Action>
        </form>
      {/if}
    {/if}
    <Said problem={refused} />
  </section>
{/if}
