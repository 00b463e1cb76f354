<script lang="ts">
  import { api, outcome, type Problem } from '../lib/api/client';
  import type { Estimate } from '../lib/api/api';
  import { decimal, fixed } from '../lib/sentence/quantity';
  import Action from '../lib/shell/Action.svelte';
  import { FIELD } from '../lib/shell/fieldLook';
  import Said from '../lib/shell/Said.svelte';
  import type { PlanEditor } from '../plan/planEditor.svelte';
  import Chart from '../lib/tape/Chart.svelte';
  import { fitVerdict, fittedNumber, isOther, quantityWords } from './fitted';
  import type { Recorded } from './recorded.svelte';

  /** The battery that made what was recorded, and what of it goes into the plan. */
  interface Props {
    recorded: Recorded;
    editor: PlanEditor;
    readonly: boolean;
    zone: string;
  }
  let { recorded, editor, readonly, zone }: Props = $props();

  const charts = import('./charts');

  const fit = $derived(recorded.fit);
  let chosen = $state<Record<string, boolean>>({});
  let point = $state('');
  let problem = $state.raw<Problem>();
  const points = $derived(editor.plan?.site.sensePoints ?? []);
  const taken = $derived(
    (fit?.estimates ?? [])
      .filter((one) => one.cannotTell === undefined && wanted(one))
      .map((one) => one.quantity),
  );
  /** Resistance is one number in the plan: what a steady load sees in the end. */
  const offered = (one: Estimate) =>
    one.cannotTell === undefined &&
    one.quantity !== 'RESISTANCE_AT_ONCE' &&
    (one.quantity !== 'UNSEEN_AMPERES' || (editor.plan?.site.monitors.length ?? 0) > 0);
  const wanted = (one: Estimate) => offered(one) && (chosen[one.quantity] ?? isOther(one));

  async function take() {
    if (!editor.plan) return;
    const offset = taken.includes('VOLTAGE_OFFSET');
    const answer = await outcome(
      api.POST('/api/reading/{siteId}/fitted', {
        params: { path: { siteId: editor.site } },
        body: {
          plan: editor.plan,
          quantities: taken,
          ...(offset ? { sensePoint: point || points[0]?.id } : {}),
        },
      }),
    );
    problem = answer.problem;
    if (!answer.data) return;
    editor.take(answer.data, 'as fitted to what was recorded');
    location.hash = `#/site/${editor.site}/plan`;
  }
</script>

<section class="px-4 py-6 md:px-6" aria-labelledby="fit">
  <h2 id="fit" class="sr-only">The battery that made it</h2>
  {#if !fit}
    <p class="text-3xl leading-9 font-bold">Which battery made these days?</p>
    <p class="mt-2 max-w-3xl text-soft">
      The model is fitted to the recorded voltages and currents of the last two months: capacity, resistance,
      what the meters are off by. Each number comes with the interval in which it lies with 95 %, and where
      the days cannot tell that is said.
    </p>
    <p class="mt-3 flex flex-wrap items-center gap-3">
      <Action main disabled={recorded.busy !== ''} onclick={() => recorded.fitIt()}>Fit the battery</Action>
      {#if recorded.busy}<span class="text-soft" role="status">{recorded.busy}</span>{/if}
    </p>
  {:else}
    <p class="text-3xl leading-9 font-bold" role="status">{fitVerdict(fit)}</p>
    {#if !fit.cannot}
      <p class="mt-1 text-soft">
        {decimal(fit.days, 1)} days, down to {fixed(Math.max(0, fit.deepestDischarge) * 100, 0)} % of charge
      </p>
      <Chart
        label="Battery voltage as measured, as the plan’s model has it and as the fitted one"
        {zone}
        of={[fit]}
        high={200}
        draw={async (host, common, high) => (await charts).fitChart(host, fit, high, common)}
      />
      <p class="text-sm text-soft">
        battery voltage, V: measured the full line, by the plan’s battery the dotted one, by the fitted one
        the dashed one
      </p>
    {/if}
    <ul class="mt-4 max-w-4xl">
      {#each fit.estimates as one (one.quantity)}
        <li
          class="grid min-h-12 grid-cols-2 items-center gap-x-4 border-t border-rule py-1 md:grid-cols-[15rem_8rem_9rem_1fr]"
        >
          {#if offered(one) && !readonly}
            <label class="flex min-h-11 items-center gap-2"
              ><input
                type="checkbox"
                class="size-5"
                checked={wanted(one)}
                onchange={(event) => (chosen = { ...chosen, [one.quantity]: event.currentTarget.checked })}
              />{quantityWords(one)}</label
            >
          {:else}<span>{quantityWords(one)}</span>{/if}
          <span class="number text-right text-soft"
            >{one.planned === 0 ? '' : `plan ${fittedNumber(one, one.planned)}`}</span
          >
          {#if one.cannotTell}
            <span class="col-span-2">cannot be told: {one.cannotTell}</span>
          {:else}
            <b class="number text-lg md:text-right">{fittedNumber(one, one.value)}</b>
            <span class="number text-sm text-soft"
              >{fittedNumber(one, one.lowest)} to {fittedNumber(one, one.highest)}</span
            >
          {/if}
        </li>
      {/each}
    </ul>
    {#if !readonly && !fit.cannot}
      <div class="mt-3 flex flex-wrap items-center gap-3">
        <Action main disabled={taken.length === 0} onclick={take}>Take into the plan</Action>
        {#if taken.includes('VOLTAGE_OFFSET')}
          <label class="flex items-center gap-2"
            >recorded at
            <select
              class={FIELD}
              value={point || points[0]?.id}
              onchange={(event) => (point = event.currentTarget.value)}
            >
              {#each points as one (one.id)}<option value={one.id}>{one.name}</option>{/each}
            </select>
          </label>
        {/if}
        <span class="text-soft">unsaved, to be looked at</span>
        <Said {problem} />
      </div>
    {/if}
  {/if}
</section>
