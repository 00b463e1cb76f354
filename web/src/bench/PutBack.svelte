<script lang="ts">
  import type { Output, TemporaryValue } from '../lib/api/api';
  import Action from '../lib/shell/Action.svelte';
  import { written } from '../lib/sentence/quantity';
  import type { PlanEditor } from '../plan/planEditor.svelte';
  import { placeOf, withPlace } from '../lib/plan/planPath';

  /** What is forced or set to a temporary value for a test, shown until it is put back. */
  let { editor, force }: { editor: PlanEditor; force: (index: number, to: Output['testForce']) => void } =
    $props();

  const plan = $derived(editor.plan);
  const temporary = $derived(plan?.program.temporary ?? []);
  const forced = $derived(
    (plan?.program.outputs ?? [])
      .map((output, index) => ({ output, index }))
      .filter(({ output }) => output.testForce !== 'NONE'),
  );
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
            >{output.name} is forced {output.testForce.toLowerCase()}, past mode and protection</span
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
