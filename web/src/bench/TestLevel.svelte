<script lang="ts">
  import { levelName } from '../lib/shell/parts';
  import type { TemporaryValue } from '../lib/api/api';
  import Action from '../lib/shell/Action.svelte';
  import { FIELD } from '../lib/shell/fieldLook';
  import { typed, written } from '../lib/sentence/quantity';
  import type { PlanEditor } from '../plan/planEditor.svelte';
  import { atPlace, placeOf, withPlace } from '../lib/plan/planPath';

  /** Changes a level for a test; it is noted what it has to be put back to. */
  let { editor }: { editor: PlanEditor } = $props();

  const plan = $derived(editor.plan);
  /** Those whose number in the plan is the one that is shown. */
  const pegs = $derived((editor.reading?.gauge.pegs ?? []).filter((one) => one.shownTimes === 1));
  const temporary = $derived(plan?.program.temporary ?? []);
  let level = $state('');
  let to = $state('');
  let trouble = $state('');
  const chosen = $derived(pegs.find((peg) => peg.path === level));

  function set(event: SubmitEvent) {
    event.preventDefault();
    const unit = chosen?.unit ?? 'V';
    const value = typed(to, unit);
    if (!plan || !chosen || value === undefined) {
      trouble = `“${to}” is not a number in ${unit}`;
      return;
    }
    trouble = '';
    const name = levelName(chosen.name, chosen.term);
    const path = placeOf(plan, chosen.path);
    if (!path) return;
    const before = Number(atPlace(plan, path));
    const kept: TemporaryValue[] = temporary.some((one) => one.path === chosen.path)
      ? temporary
      : [...temporary, { path: chosen.path, name, normalValue: before, unit }];
    const changed = withPlace(withPlace(plan, path, value), ['program', 'temporary'], kept);
    editor.set([], changed, () => `${name} for a test`);
    to = '';
  }
</script>

<form class="no-print flex flex-wrap items-end gap-3 py-3 text-sm" onsubmit={set}>
  <label class="flex min-w-0 flex-col"
    >for a test, set
    <select class="{FIELD} max-w-72" bind:value={level} required>
      <option value="" disabled>a level</option>
      {#each pegs as peg (peg.path)}
        <option value={peg.path}>{peg.name}: {peg.term} {written(peg.value, peg.unit)}</option>
      {/each}
    </select>
  </label>
  <label class="flex flex-col">to<input class="{FIELD} w-28" inputmode="decimal" bind:value={to} /></label>
  <Action type="submit" disabled={level === '' || to === ''}>Set it for the test</Action>
  {#if trouble}<p class="text-danger" role="alert">{trouble}</p>{/if}
</form>
