<script lang="ts">
  import { untrack } from 'svelte';
  import type { Plan } from '../../lib/api/api';
  import Action from '../../lib/shell/Action.svelte';
  import { seasonOf } from '../../season/season.svelte';
  import type { PlanEditor } from '../planEditor.svelte';
  import { beginning, guessed, schemaOf } from './schema';
  import Themes from './Themes.svelte';
  import WhoFeeds from './WhoFeeds.svelte';
  import WindowBand from './WindowBand.svelte';

  /** How the AC side is set: who feeds and who charges as one picture, and what it follows from. */
  let { editor, plan, readonly }: { editor: PlanEditor; plan: Plan; readonly: boolean } = $props();

  /** An hour each of a fortnight. */
  const BUCKETS = 14 * 24;
  const ac = $derived(plan.program.ac);
  const cases = $derived(editor.reading?.acCases ?? []);
  const season = $derived(seasonOf(editor.site));

  // What is set is simulated as it is changed, as everywhere in the plan.
  $effect(() => {
    const [now, asked] = [plan, season];
    if (now.program.ac) untrack(() => void asked.run(now, BUCKETS));
  });

  function begin() {
    const next = beginning(schemaOf('AcProgram'), plan) as Plan['program']['ac'];
    const begun = { ...plan, program: { ...plan.program, ac: next } } as Plan;
    editor.take(guessed(begun, next, 'program/ac'), 'the AC side is set: a guess');
  }
</script>

<h3 id="sheet-ac" class="mt-4 border-t border-rule pt-3">AC side</h3>
{#if ac}
  {#if cases.length > 0}
    <WhoFeeds {cases} {season} zone={plan.site.location.timeZone} />
    <p class="mt-1 mb-3 text-sm text-soft">
      Without AC the battery feeds and only the sun charges; a window by the clock stands above all this.
    </p>
  {/if}
  <WindowBand {season} {plan} />
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
