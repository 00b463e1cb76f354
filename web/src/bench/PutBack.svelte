<script lang="ts">
  import type { Output, TemporaryValue } from '../lib/api/api';
  import Action from '../lib/shell/Action.svelte';
  import { FIELD } from '../lib/shell/fieldLook';
  import { typed, written } from '../lib/sentence/quantity';
  import type { PlanEditor } from '../plan/planEditor.svelte';
  import { atPlace, placeOf, withPlace } from '../plan/planPath';

  /** What is forced or set to a temporary value for a test, shown until it is put back. */
  let { editor, force }: { editor: PlanEditor; force: (index: number, to: Output['testForce']) => void } =
    $props();

  const plan = $derived(editor.plan);
  const pegs = $derived(editor.reading?.gauge.pegs ?? []);
  const temporary = $derived(plan?.program.temporary ?? []);
  const forced = $derived(
    (plan?.program.outputs ?? [])
      .map((output, index) => ({ output, index }))
      .filter(({ output }) => output.testForce !== 'NONE'),
  );
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
    const name = `${chosen.name} ${chosen.term}`;
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

  function putBack(one: TemporaryValue) {
    const path = plan && placeOf(plan, one.path);
    if (!plan || !path) return;
    const changed = withPlace(
      withPlace(plan, path, one.normalValue),
      ['program', 'temporary'],
      temporary.filter((other) => other.path !== one.path),
    );
    editor.set([], changed, () => `${one.name} put back`);
  }
</script>

{#if forced.length > 0 || temporary.length > 0}
  <div class="m-4 border-l-4 border-danger bg-raised p-4 md:mx-6" role="alert">
    <p class="font-bold text-danger">To be put back before anybody leaves</p>
    <ul class="mt-1">
      {#each forced as { output, index } (output.id)}
        <li class="flex flex-wrap items-center gap-4 py-1">
          <span class="grow"
            >{output.name} is forced {output.testForce.toLowerCase()}, past wish and protection</span
          >
          <Action onclick={() => force(index, 'NONE')}>Withdraw</Action>
        </li>
      {/each}
      {#each temporary as one (one.path)}
        <li class="flex flex-wrap items-center gap-4 py-1">
          <span class="grow"
            >{one.name} is changed for a test; it is to be
            <span class="number">{written(one.normalValue, one.unit)}</span></span
          >
          <Action onclick={() => putBack(one)}>Put back</Action>
        </li>
      {/each}
    </ul>
  </div>
{/if}
<form class="no-print flex flex-wrap items-end gap-3 px-4 py-3 text-sm md:px-6" onsubmit={set}>
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
