<script lang="ts">
  import Action from '../lib/shell/Action.svelte';
  import { api, outcome, type Problem } from '../lib/api/client';
  import type { Climate } from '../lib/api/api';
  import { MONTHS } from '../lib/sentence/days';
  import { capital, fixed, own, read, unitRead } from '../lib/sentence/quantity';
  import { FIELD } from '../lib/shell/fieldLook';
  import Trouble from '../lib/shell/Trouble.svelte';
  import type { Conditions } from './conditions.svelte';
  import { listed } from '../lib/shell/listed';

  /** The place's months that seeded years are made from: what its latitude suggests, or what somebody knows better. */
  let { asked, site, latitude }: { asked: Conditions; site: string; latitude: number } = $props();

  const NAMES = MONTHS.map(capital);
  let suggested = $state.raw<Climate>();
  let problem = $state<Problem>();
  const shown = $derived(asked.climate ?? suggested);

  $effect(() => {
    void load(site, latitude);
  });

  async function load(siteId: string, at: number) {
    const answer = await outcome(
      api.GET('/api/season/{siteId}/climate', { params: { path: { siteId }, query: { latitude: at } } }),
    );
    problem = answer.problem;
    suggested = answer.data;
  }

  function put(
    event: Event & { currentTarget: HTMLInputElement },
    field: 'clearness' | 'meanCelsius',
    month: number,
    unit: string,
  ) {
    const input = event.currentTarget;
    if (!shown || !input.validity.valid || !Number.isFinite(input.valueAsNumber)) {
      input.reportValidity();
      return;
    }
    asked.climate = { ...shown, [field]: shown[field].with(month, own(input.valueAsNumber, unit)) };
  }
</script>

{#if problem}<Trouble {problem} retry={() => load(site, latitude)} />{/if}
{#if shown}
  <div class="overflow-x-auto">
    <table {@attach listed} class="text-sm">
      <thead>
        <tr
          ><th></th>{#each NAMES as month (month)}<th class="font-normal text-soft">{month}</th>{/each}</tr
        >
      </thead>
      <tbody>
        {#each [['clearness', 'clearness index', 0.05, 0.85, 0.01, ''], ['meanCelsius', `mean air, ${unitRead('°C')}`, read(-60, '°C'), read(50, '°C'), 0.5, '°C']] as const as [field, name, min, max, step, unit] (field)}
          <tr>
            <th class="pr-3 text-left font-normal whitespace-nowrap">{name}</th>
            {#each NAMES as month, i (month)}
              <td class="pr-1"
                ><input
                  class="{FIELD} number w-[4.6rem] px-1! text-sm"
                  type="number"
                  {min}
                  {max}
                  {step}
                  aria-label="{name}, {month}"
                  value={fixed(read(shown[field][i] ?? 0, unit), field === 'clearness' ? 2 : 1)}
                  onchange={(event) => put(event, field, i, unit)}
                /></td
              >
            {/each}
          </tr>
        {/each}
      </tbody>
    </table>
  </div>
  <p class="mt-1 flex flex-wrap items-center gap-4 text-sm text-soft">
    {asked.climate ? 'As set here.' : 'Suggested by the latitude alone; judgement, no source.'}
    {#if asked.climate}<Action onclick={() => (asked.climate = undefined)}>As the latitude suggests</Action
      >{/if}
  </p>
{/if}
