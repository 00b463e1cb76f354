<script lang="ts">
  import type { Plan } from '../../lib/api/api';
  import Action from '../../lib/shell/Action.svelte';
  import type { PlanEditor } from '../planEditor.svelte';
  import FindingLine from '../FindingLine.svelte';
  import { beginning, guessed, schemaOf } from './schema';
  import Themes from './Themes.svelte';

  /** Where neutral and earth of the AC side are bonded: once in every state of operation. */
  let { editor, plan, readonly }: { editor: PlanEditor; plan: Plan; readonly: boolean } = $props();

  const earthing = $derived(plan.site.earthing);
  const findings = $derived(
    (editor.reading?.findings ?? []).filter((one) => one.path === 'site/earthing' && !one.dismissed),
  );

  function begin() {
    const next = beginning(schemaOf('Earthing'), plan) as Plan['site']['earthing'];
    const begun = { ...plan, site: { ...plan.site, earthing: next } } as Plan;
    editor.take(guessed(begun, next, 'site/earthing'), 'the bond of neutral and earth is set: a guess');
  }

  function takeAway() {
    editor.set(['site', 'earthing'], undefined, () => 'the bond of neutral and earth is no longer set');
  }
</script>

<h3 id="sheet-earthing" class="mt-4 border-t border-rule pt-3">Neutral and earth</h3>
<p class="text-sm text-soft">
  Bonded exactly once, whoever feeds. Local codes and a licensed electrician decide how; this only counts.
</p>
{#each findings as finding, i (i)}<FindingLine {finding} editor={readonly ? undefined : editor} />{/each}
{#if earthing}
  <Themes
    {editor}
    {plan}
    schema="Earthing"
    value={earthing as unknown as Record<string, unknown>}
    path="site/earthing"
    of="neutral and earth"
    {readonly}
  />
  {#if !readonly}<div class="mt-2"><Action onclick={takeAway}>Take the bond away</Action></div>{/if}
{:else if !readonly}
  <div class="mt-2"><Action onclick={begin}>Set where they are bonded</Action></div>
{/if}
