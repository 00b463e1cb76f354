<script lang="ts">
  import type { Plan, SensePoint } from '../../lib/api/api';
  import { typed, written } from '../../lib/sentence/quantity';
  import Action from '../../lib/shell/Action.svelte';
  import type { PlanEditor } from '../planEditor.svelte';
  import { withPlace } from '../../lib/plan/planPath';
  import { measured } from './measured';
  import ReadingField from './ReadingField.svelte';
  import { schemaOf } from './schema';

  /** An offset from two readings at the same moment: what the device shows, and what a reference shows beside it. */
  let { editor, plan, point }: { editor: PlanEditor; plan: Plan; point: SensePoint } = $props();

  /** Further apart than this no calibration is, but a wrong terminal (V). */
  const MOST = schemaOf('SensePoint').properties?.offsetVolts?.maximum ?? Infinity;

  let device = $state('');
  let reference = $state('');
  const reads = $derived(typed(device, 'V'));
  const stands = $derived(typed(reference, 'V'));
  const offset = $derived(
    reads === undefined || stands === undefined ? undefined : Math.round((reads - stands) * 1000) / 1000,
  );
  const problem = $derived(
    offset !== undefined && Math.abs(offset) > MOST
      ? `the two are ${written(Math.abs(offset), 'V')} apart, more than ${written(MOST, 'V')}: the same terminals?`
      : '',
  );

  function take() {
    if (offset === undefined || problem) return;
    const path = `site/sensePoints/${point.id}/offsetVolts`;
    const origin = measured(`reads ${written(reads ?? 0, 'V')}, reference ${written(stands ?? 0, 'V')}`);
    const next = withPlace(plan, path.split('/'), offset);
    editor.take(
      { ...next, origins: { ...next.origins, [path]: origin } },
      `${point.name} reads too high by ${written(point.offsetVolts, 'V')} → ${written(offset, 'V')}, measured`,
    );
    device = reference = '';
  }
</script>

<fieldset class="mt-4 border-t border-rule pt-3">
  <legend class="float-left mb-2 font-bold">Its offset from two readings</legend>
  <p class="clear-both mb-2 text-sm text-soft">
    Both at the same moment and the same terminals. Put a calibration of the device’s own to zero first: two
    would add up.
  </p>
  <div class="flex flex-wrap items-end gap-3">
    <ReadingField label="this device reads, V" bind:value={device} />
    <ReadingField label="the reference reads, V" bind:value={reference} />
    <Action onclick={take} disabled={offset === undefined || problem !== ''}
      >{offset === undefined || problem ? 'Take the offset' : `Take ${written(offset, 'V')}`}</Action
    >
  </div>
  {#if problem}<p class="mt-1 text-sm text-danger" role="alert">{problem}</p>{/if}
</fieldset>
