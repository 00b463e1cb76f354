<script lang="ts">
  import type { Plan } from '../../lib/api/api';
  import { typed, written } from '../../lib/sentence/quantity';
  import Action from '../../lib/shell/Action.svelte';
  import type { PlanEditor } from '../planEditor.svelte';
  import { withPlace } from '../../lib/plan/planPath';
  import { lineFrom } from './lineFrom';
  import { measured } from './measured';
  import ReadingField from './ReadingField.svelte';
  import { schemaOf } from './schema';

  /** Voltage and line of a feeder from what was measured at its end, with nothing drawn and under a load. */
  let { editor, plan, path, name }: { editor: PlanEditor; plan: Plan; path: string; name: string } = $props();

  const { volts, legOhms } = schemaOf('Feeder').properties ?? {};
  const BOUNDS = {
    volts: [volts?.minimum ?? 0, volts?.maximum ?? Infinity] as [number, number],
    mostOhms: legOhms?.maximum ?? Infinity,
  };

  let idle = $state('');
  let loaded = $state('');
  let drawn = $state('');
  const read = $derived([typed(idle, 'V'), typed(loaded, 'V'), typed(drawn, 'A')] as const);
  const line = $derived.by(() => {
    const [stiff, sagged, amperes] = read;
    if (stiff === undefined || sagged === undefined || amperes === undefined) return undefined;
    return lineFrom(stiff, sagged, amperes, BOUNDS);
  });

  function take() {
    if (typeof line !== 'object') return;
    const [stiff = 0, sagged = 0, amperes = 0] = read;
    const origin = measured(
      `${written(stiff, 'V')} with nothing drawn, ${written(sagged, 'V')} at ${written(amperes, 'A')}`,
    );
    const places = [`${path}/volts`, `${path}/legOhms`] as const;
    const next = withPlace(
      withPlace(plan, places[0].split('/'), line.volts),
      places[1].split('/'),
      line.legOhms,
    );
    editor.take(
      { ...next, origins: { ...next.origins, [places[0]]: origin, [places[1]]: origin } },
      `${name}: ${written(line.volts, 'V')} behind ${written(line.legOhms, 'Ω')}, measured`,
    );
    idle = loaded = drawn = '';
  }
</script>

<fieldset class="mt-4 border-t border-rule pt-3">
  <legend class="float-left mb-2 font-bold">Its line from two readings</legend>
  <p class="clear-both mb-2 text-sm text-soft">
    Of one leg to neutral where it comes in, by whoever may work there.
  </p>
  <div class="flex flex-wrap items-end gap-3">
    <ReadingField label="with nothing drawn, V" bind:value={idle} />
    <ReadingField label="under load, V" bind:value={loaded} />
    <ReadingField label="drawn then, A" bind:value={drawn} />
    <Action onclick={take} disabled={typeof line !== 'object'}
      >{typeof line === 'object' ? `Take ${written(line.legOhms, 'Ω')} a leg` : 'Take the line'}</Action
    >
  </div>
  {#if typeof line === 'string'}<p class="mt-1 text-sm text-danger" role="alert">{line}</p>{/if}
</fieldset>
