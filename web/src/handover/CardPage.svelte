<script lang="ts">
  import { shownNumber } from '../lib/along/local';
  import { api, outcome, type Problem } from '../lib/api/client';
  import type { Card, Cut } from '../lib/api/api';
  import { day, decimal } from '../lib/sentence/quantity';
  import Action from '../lib/shell/Action.svelte';
  import Frame from '../lib/shell/Frame.svelte';
  import Trouble from '../lib/shell/Trouble.svelte';

  /** What hangs on the cabinet, one page, for who lives with the site and knows nothing of its terms. */
  let { params }: { params: { site: string } } = $props();

  let told = $state.raw<Card>();
  let problem = $state.raw<Problem>();

  async function load(siteId: string) {
    const answer = await outcome(api.GET('/api/sites/{siteId}/card', { params: { path: { siteId } } }));
    told = answer.data;
    problem = answer.problem;
  }
  $effect(() => {
    void load(params.site);
  });

  const card = $derived(told?.card);
  const at = (value: number, unit: string) => `${decimal(Number(value.toPrecision(4)))} ${unit}`;

  function staysOff({ trips, release }: Cut): string {
    if (!trips || !release) return '';
    const until = { TIME: 'for a while', DAWN: 'until dawn', HAND: 'until somebody resets it' }[release];
    return `goes dead ${trips} times in a short time: stays off ${until}`;
  }
</script>

<Frame title={told?.site ?? 'Card on the cabinet'} site={params.site} place="handover">
  {#snippet header()}
    <div class="no-print ml-auto flex items-center gap-4">
      <a class="flex min-h-11 items-center underline" href="#/site/{params.site}/handover"
        >Back to the devices</a
      >
      <Action onclick={() => window.print()}>Print</Action>
    </div>
  {/snippet}
  {#if problem}<Trouble {problem} retry={() => load(params.site)} />{/if}
  {#if !told && !problem}<p class="p-6 text-soft" role="status">Writing the card</p>{/if}
  {#if told && card}
    <article class="max-w-3xl px-4 py-5 md:px-6 print:p-0" aria-label="Card on the cabinet">
      <p class="text-soft">
        {card.battery}, {decimal(card.nominalVolts)} V. Revision {shownNumber(told.revision)} of {day(
          told.savedAt,
        )}.
      </p>
      <h2 class="mt-6 mb-2 print:mt-3 print:mb-1">What goes dead, the first to go first</h2>
      {#if card.cuts.length === 0}
        <p>Nothing is switched off to save the battery.</p>
      {:else}
        <ul>
          {#each card.cuts as cut (cut.by + cut.unit + cut.at)}
            <li
              class="grid grid-cols-[7rem_1fr] items-baseline gap-x-4 border-t border-rule py-2 print:py-0.5"
            >
              <span class="number text-2xl font-bold print:text-lg">{at(cut.at, cut.unit)}</span>
              <span
                ><b class="text-lg">{cut.what.join(', ')}</b>
                <span class="text-soft">by {cut.by}{cut.back === undefined ? ', stays off' : ''}</span>
                {#if staysOff(cut)}<span class="block">{staysOff(cut)}</span>{/if}</span
              >
            </li>
          {/each}
        </ul>
      {/if}
      {#if card.lastToGo.length > 0}
        <p class="border-t border-rule py-2">
          <b>{card.lastToGo.join(', ')}</b>: never switched off; off only when the battery itself gives up.
        </p>
      {/if}
      {#if card.returns.length > 0}
        <h2 class="mt-6 mb-2 print:mt-3 print:mb-1">What comes back by itself, in this order</h2>
        <ol>
          {#each card.returns as one (one.unit + one.at)}
            <li
              class="grid grid-cols-[7rem_1fr] items-baseline gap-x-4 border-t border-rule py-2 print:py-0.5"
            >
              <span class="number text-2xl font-bold print:text-lg">{at(one.at, one.unit)}</span>
              <b class="text-lg">{one.what.join(', ')}</b>
            </li>
          {/each}
        </ol>
        <p class="border-t border-rule py-2 text-soft">
          It needs sun, mains or the generator for that. Switching on by hand before empties the battery
          further.
        </p>
      {/if}
      <h2 class="mt-6 mb-2 print:mt-3 print:mb-1">When to call</h2>
      <ul class="list-disc pl-5">
        <li>Something is still off after a day of sun, or comes and goes.</li>
        <li>
          Something gets hot, smells, hums or sparks: keep away, and switch off only where you were shown how.
        </li>
        <li>A fuse or breaker is open: leave it open.</li>
        <li>The numbers on the display are below all those above.</li>
      </ul>
      <p class="mt-4 border-b border-ink pb-8">Call</p>
      <p class="mt-4 text-sm text-soft">
        What is programmed, no promise of what a fault does. Work inside the cabinet follows local code and
        licensed practice.
      </p>
    </article>
  {/if}
</Frame>
