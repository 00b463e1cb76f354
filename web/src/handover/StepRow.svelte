<script lang="ts">
  import { api, outcome } from '../lib/api/client';
  import type { CommissioningView, StepAtVisit } from '../lib/api/api';
  import { day } from '../lib/sentence/quantity';
  import Action from '../lib/shell/Action.svelte';
  import { FIELD } from '../lib/shell/fieldLook';
  import SeverityMark from '../lib/shell/SeverityMark.svelte';
  import StepPhotos from './StepPhotos.svelte';

  /** A step: what is done, what it is to show, when to stop; and what came of it at this visit. */
  interface Props {
    site: string;
    one: StepAtVisit;
    /** Its number among the steps of its phase. */
    number: number;
    /** The visit that goes on; 0 before the first. */
    round: number;
    readonly: boolean;
    zone: string;
    busy: boolean;
    /** Takes what an act made of the visit; whether it was taken. */
    take: (call: ReturnType<typeof outcome<CommissioningView>>) => Promise<boolean>;
  }
  let { site, one, number, round, readonly, zone, busy, take }: Props = $props();

  let measured = $state('');
  let note = $state('');
  const step = $derived(one.step);

  async function mark(done: boolean) {
    const kept = await take(
      outcome(
        api.POST('/api/sites/{siteId}/commissioning/marks', {
          params: { path: { siteId: site } },
          body: { id: crypto.randomUUID(), round, step: step.id, done, measured, note },
        }),
      ),
    );
    if (kept) measured = note = '';
  }
</script>

<li
  class="grid gap-x-4 gap-y-1 border-t border-rule py-2 md:grid-cols-[2.5rem_minmax(0,1fr)_minmax(0,24rem)]"
>
  <span class="number text-soft" aria-hidden="true">{number}</span>
  <div class="max-w-2xl">
    <p class="text-lg {one.mark?.done ? 'text-soft' : 'font-bold'}">{step.what}</p>
    {#if step.expect}<p>{step.expect}</p>{/if}
    {#if step.stop}<p><b>Stop:</b> {step.stop}</p>{/if}
  </div>
  <div class="grid content-start gap-2">
    {#if one.mark?.done}
      <p>
        <b>Done</b>
        {#if one.mark.measured}<span class="number">{one.mark.measured}</span>{/if}
        <span class="text-soft">{one.mark.madeBy}, {day(one.mark.madeAt, zone)}</span>
        {#if one.mark.note}<span class="block">{one.mark.note}</span>{/if}
      </p>
      {#if one.mark.failure}
        <p>
          <SeverityMark severity="DANGER" /> <b>{one.mark.failure}</b>{step.stop ? ': stop.' : '.'}
        </p>
      {/if}
      {#if !readonly}
        <button
          type="button"
          class="no-print min-h-11 justify-self-start underline"
          aria-label="not done after all: {step.what}"
          disabled={busy}
          onclick={() => mark(false)}>not done after all</button
        >
      {/if}
    {:else if !readonly && round > 0}
      <form
        class="no-print flex flex-wrap gap-2"
        onsubmit={(event) => {
          event.preventDefault();
          void mark(true);
        }}
      >
        {#if step.expect}
          <input
            class="{FIELD} number w-28"
            placeholder={step.between ? `measured, ${step.between.unit}` : 'measured'}
            maxlength="300"
            autocomplete="off"
            aria-label="measured: {step.what}"
            value={measured}
            oninput={(event) => (measured = event.currentTarget.value)}
          />
        {/if}
        <input
          class="{FIELD} w-36"
          placeholder="note"
          maxlength="300"
          autocomplete="off"
          aria-label="note: {step.what}"
          value={note}
          oninput={(event) => (note = event.currentTarget.value)}
        />
        <Action type="submit" disabled={busy} aria-label="Done: {step.what}">Done</Action>
      </form>
    {/if}
    <StepPhotos {site} {step} {round} photos={one.photos} {readonly} {zone} {take} />
  </div>
</li>
