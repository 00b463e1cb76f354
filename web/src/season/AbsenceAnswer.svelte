<script lang="ts">
  import type { Answer, Plan } from '../lib/api/api';
  import { daysLater, dayWritten } from '../lib/sentence/days';
  import { energy } from '../lib/sentence/quantity';
  import Action from '../lib/shell/Action.svelte';
  import Fan from './Fan.svelte';
  import Lowest from './Lowest.svelte';

  /** What comes of being away: how often each critical load is cut, and which one setting would help most. */
  interface Props {
    answer: Answer;
    /** The first day. */
    from: string;
    plan: Plan;
    /** Whether what helps is in the plan already. */
    taken: boolean;
    /** Puts what helps into the plan; absent where nothing may be changed. */
    take: (() => void) | undefined;
  }
  let { answer, from, plan, taken, take }: Props = $props();

  /** The answer as it would be said. */
  const sentence = $derived.by(() => {
    if (answer.chances.length === 0) return 'No load is marked critical; mark one in Plan, System.';
    const cut = answer.chances.filter((one) => one.cuts > 0);
    if (cut.length === 0) {
      const what = answer.chances.length === 1 ? name(answer.chances[0]?.load ?? '') : 'Every critical load';
      return `${what} stays on in all ${answer.runs} weathers.`;
    }
    const first = Math.min(...answer.courses.map((one) => one.cutOnDay ?? Infinity));
    const since = Number.isFinite(first) ? `, at the earliest on ${dayWritten(daysLater(from, first))}` : '';
    const many = cut.map((one) => `${name(one.load)} is cut in ${one.cuts} of ${answer.runs}`).join(', ');
    return `${many} weathers${since}.`;
  });
  const name = (id: string) => plan.site.loads.find((one) => one.id === id)?.name ?? id;
  const percent = (share: number) => `${Math.round(share * 100)} %`;
</script>

<section class="px-4 pt-5 pb-8 md:px-6" aria-label="What came of it">
  <p
    class="max-w-4xl text-[1.375rem] leading-8 font-bold text-balance md:text-[1.875rem] md:leading-10 {answer.cuts >
    0
      ? 'text-danger'
      : ''}"
  >
    {sentence}
  </p>
  <Fan courses={answer.courses} {from} />
  {#each answer.chances as chance (chance.load)}
    <p class="mt-2">
      {name(chance.load)}:
      {#if chance.cuts === 0}not cut in <span class="number">{answer.runs}</span> weathers{:else}cut in
        <span class="number">{chance.cuts}</span> of <span class="number">{answer.runs}</span>, lacking
        <span class="number">{energy(chance.meanUnservedJoules / 3600)}</span> on the mean{/if}; the chance is
      between <span class="number">{percent(chance.low)}</span> and
      <span class="number">{percent(chance.high)}</span>.
    </p>
  {/each}
  {#if answer.help}
    <div class="mt-4 border-l-4 border-battery pl-4">
      <h2>What would help most</h2>
      <p class="mt-1 text-lg">{answer.help.says}</p>
      <p class="mt-1 text-soft">
        Then a critical load is cut in <span class="number">{answer.help.cuts}</span> of
        <span class="number">{answer.runs}</span> weathers instead of
        <span class="number">{answer.cuts}</span>, and lacks
        <span class="number">{energy(answer.help.unservedJoules / 3600)}</span> instead of
        <span class="number">{energy(answer.unservedJoules / 3600)}</span> on the mean.
        {answer.tried === 1 ? 'One setting was' : `${answer.tried} settings were`} tried; lights that come on in
        the dark are left alone.
      </p>
      {#if take}
        <Action class="mt-3" disabled={taken} onclick={take}
          >{taken ? 'It is in the plan; undo takes it back' : 'Put it into the plan'}</Action
        >
      {/if}
    </div>
  {:else if answer.cuts > 0}
    <p class="mt-4 border-l-4 border-caution pl-4">
      {answer.tried === 0
        ? 'No single setting keeps it on: there is none to try here.'
        : `No single setting keeps it on: ${answer.tried === 1 ? 'the one that was tried leaves' : `each of the ${answer.tried} that were tried leaves`} as many weathers with a cut. It wants more charge, less load or an earlier visit.`}
    </p>
  {/if}
  <h2 class="mt-6">Lowest state of charge in each weather</h2>
  <Lowest charges={answer.lowestCharges} />
  <p class="text-sm text-soft">
    Simulated, with weathers drawn from the place’s months; a chance is a share of them, with the 90 %
    interval of Wilson. No promise, and no proof of safety.
  </p>
</section>
