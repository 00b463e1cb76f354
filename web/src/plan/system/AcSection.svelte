<script lang="ts">
  import type { Plan } from '../../lib/api/api';
  import Action from '../../lib/shell/Action.svelte';
  import type { PlanEditor } from '../planEditor.svelte';
  import { beginning, guessed, schemaOf } from './schema';
  import Themes from './Themes.svelte';
  import WindowBand from './WindowBand.svelte';

  /** How the AC side is set: who feeds and who charges as one picture, and what it follows from. */
  let { editor, plan, readonly }: { editor: PlanEditor; plan: Plan; readonly: boolean } = $props();

  const FEEDS = {
    BATTERY: { says: 'battery feeds', look: 'text-battery' },
    SUN: { says: 'the sun feeds', look: 'text-sun' },
    AC: { says: 'AC feeds', look: 'text-ac' },
    SUN_AND_AC: { says: 'sun and AC feed', look: 'text-ac' },
  };

  const ac = $derived(plan.program.ac);
  const cases = $derived(editor.reading?.acCases ?? []);
  const of = (sunEnough: boolean, batteryAbove: boolean) =>
    cases.find((one) => one.sunEnough === sunEnough && one.batteryAbove === batteryAbove);

  function begin() {
    const next = beginning(schemaOf('AcProgram'), plan) as Plan['program']['ac'];
    const begun = { ...plan, program: { ...plan.program, ac: next } } as Plan;
    editor.take(guessed(begun, next, 'program/ac'), 'the AC side is set: a guess');
  }
</script>

<h3 id="sheet-ac" class="mt-4 border-t border-rule pt-3">AC side</h3>
{#if ac}
  {#if cases.length > 0}
    <table class="mt-2 w-full border-collapse text-sm">
      <caption class="sr-only">Who feeds the loads and who charges while AC is present</caption>
      <thead>
        <tr class="text-left text-soft">
          <th class="pb-1 font-normal" scope="col">with AC present</th>
          <th class="pb-1 font-normal" scope="col">sun enough</th>
          <th class="pb-1 font-normal" scope="col">not enough</th>
        </tr>
      </thead>
      <tbody>
        {#each [true, false] as above (above)}
          <tr class="align-top">
            <th class="border-t border-rule py-1.5 pr-2 text-left font-normal text-soft" scope="row"
              >battery {above ? 'above its level' : 'below'}</th
            >
            {#each [true, false] as sun (sun)}
              {@const one = of(sun, above)}
              <td class="border-t border-l border-rule px-2 py-1.5">
                {#if one}
                  <strong class={FEEDS[one.feeds].look}>{FEEDS[one.feeds].says}</strong><br />{one.acCharges
                    ? 'sun and AC charge'
                    : 'only the sun charges'}
                {/if}
              </td>
            {/each}
          </tr>
        {/each}
      </tbody>
    </table>
    <p class="mb-2 text-sm text-soft">
      Without AC the battery feeds and only the sun charges; a window by the clock stands above all this.
    </p>
  {/if}
  <WindowBand site={editor.site} {plan} />
  <Themes
    {editor}
    {plan}
    schema="AcProgram"
    value={ac as unknown as Record<string, unknown>}
    path="program/ac"
    of="the AC side"
    {readonly}
  />
{:else}
  <p class="text-soft">Nothing is set: AC feeds whenever it is there, sun and AC charge.</p>
  {#if !readonly}<div class="mt-2"><Action onclick={begin}>Set who feeds and who charges</Action></div>{/if}
{/if}
