<script lang="ts">
  import type { Output } from '../lib/api/api';
  import Action from '../lib/shell/Action.svelte';
  import { withoutOutput } from './outputs';
  import type { PlanEditor } from './planEditor.svelte';

  /** Sets or unsets what an output may have, a contact and a clock of its own; or takes the output away. */
  interface Props {
    editor: PlanEditor;
    output: Output;
    put: (value: Partial<Output>, says: string) => void;
    without: (key: 'contact' | 'clock') => void;
  }
  let { editor, output, put, without }: Props = $props();

  const volts = $derived(editor.plan?.site.nominalVolts ?? 12);
  const contact = () =>
    put(
      {
        contact: {
          kind: 'RELAY',
          dcAmperes: 30,
          dcVolts: Math.round(volts * 1.5),
          inrushAmperes: 60,
          operateSeconds: 0.02,
          pullInVolts: volts * 0.75,
          dropOutVolts: volts * 0.3,
          pullInWatts: 3,
        },
      },
      'contact set',
    );
</script>

<div class="mt-3 flex flex-wrap gap-2">
  <Action
    onclick={() =>
      editor.plan && editor.take(withoutOutput(editor.plan, output.id), `${output.name} is gone`)}
    >Remove this output</Action
  >
  {#if output.contact}
    <Action onclick={() => without('contact')}>Unset the contact</Action>
  {:else}
    <Action onclick={contact}>Set its contact</Action>
  {/if}
  {#if output.clock}
    {@const clock = output.clock}
    <Action onclick={() => put({ clock: { ...clock, lostAtPowerDown: !clock.lostAtPowerDown } }, 'clock')}
      >{clock.lostAtPowerDown ? 'It keeps the time' : 'It forgets the time'}</Action
    >
    <Action onclick={() => without('clock')}>Unset the clock</Action>
  {:else}
    <Action
      onclick={() =>
        put({ clock: { offsetSeconds: 0, driftSecondsPerDay: 0, lostAtPowerDown: false } }, 'clock set')}
      >Set its clock</Action
    >
  {/if}
</div>
