<script lang="ts">
  import type { Output, OutputReading } from '../lib/api/api';
  import SentenceEditor from '../lib/sentence/SentenceEditor.svelte';
  import Action from '../lib/shell/Action.svelte';
  import type { PlanEditor } from './planEditor.svelte';

  /** What an output physically is: contact, clock, positions, and where it acts. */
  interface Props {
    editor: PlanEditor;
    output: Output;
    index: number;
    reading?: OutputReading;
    errors: (slot: 'contact' | 'clock') => Record<string, string>;
    change: (slot: 'contact' | 'clock', field: string, label: string, value: number | string) => void;
  }
  let { editor, output, index, reading, errors, change }: Props = $props();

  const volts = $derived(editor.plan?.site.nominalVolts ?? 12);
  const atController = $derived(
    (editor.plan?.site.controllers ?? []).some((one) => output.loads.includes(one.id)),
  );

  function put(value: Partial<Output>, says: string) {
    editor.set(['program', 'outputs', index], { ...output, ...value }, () => `${says} of ${output.name}`);
  }

  function without(key: 'contact' | 'clock') {
    const rest = Object.fromEntries(Object.entries(output).filter(([name]) => name !== key));
    editor.set(['program', 'outputs', index], rest, () => `${key} of ${output.name} not told`);
  }

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
      'contact told',
    );
  const positions = [
    ['OPEN', 'open'],
    ['CLOSED', 'closed'],
  ] as const;
  const sides = [
    ['ENABLE', 'at its enable input'],
    ['ARRAY', 'in the line from the array'],
    ['BATTERY', 'in the line to the battery'],
  ] as const;
</script>

<div class="mt-2 border-l-4 border-ink bg-raised p-3">
  {#if output.contact && reading?.contact}
    <SentenceEditor
      sentence={reading.contact}
      rule={{ ...output.contact }}
      errors={errors('contact')}
      change={(field, label, value) => change('contact', field, label, value)}
    />
  {/if}
  {#if output.clock && reading?.clock}
    <SentenceEditor
      sentence={reading.clock}
      rule={{ ...output.clock }}
      errors={errors('clock')}
      change={(field, label, value) => change('clock', field, label, value)}
    />
  {/if}
  <div class="mt-1 flex flex-wrap gap-4">
    <label class="text-sm"
      >With its coil idle<select
        class="field mt-1 block"
        value={output.rest ?? 'OPEN'}
        onchange={(event) => put({ rest: event.currentTarget.value as Output['rest'] }, 'rest position')}
      >
        {#each positions as [value, word] (value)}<option {value}>{word}</option>{/each}
      </select></label
    >
    <label class="text-sm"
      >With its device dead<select
        class="field mt-1 block"
        value={output.dead ?? 'OPEN'}
        onchange={(event) => put({ dead: event.currentTarget.value as Output['dead'] }, 'dead position')}
      >
        {#each positions as [value, word] (value)}<option {value}>{word}</option>{/each}
      </select></label
    >
    {#if atController}
      <label class="text-sm"
        >It acts on a controller<select
          class="field mt-1 block"
          value={output.side ?? 'ENABLE'}
          onchange={(event) => put({ side: event.currentTarget.value as Output['side'] }, 'side')}
        >
          {#each sides as [value, word] (value)}<option {value}>{word}</option>{/each}
        </select></label
      >
    {/if}
  </div>
  <div class="mt-3 flex flex-wrap gap-2">
    {#if output.contact}
      <Action onclick={() => without('contact')}>Contact not told</Action>
    {:else}
      <Action onclick={contact}>Tell its contact</Action>
    {/if}
    {#if output.clock}
      {@const clock = output.clock}
      <Action onclick={() => put({ clock: { ...clock, lostAtPowerDown: !clock.lostAtPowerDown } }, 'clock')}
        >{clock.lostAtPowerDown ? 'It keeps the time' : 'It forgets the time'}</Action
      >
      <Action onclick={() => without('clock')}>Clock not told</Action>
    {:else}
      <Action
        onclick={() =>
          put({ clock: { offsetSeconds: 0, driftSecondsPerDay: 0, lostAtPowerDown: false } }, 'clock told')}
        >Tell its clock</Action
      >
    {/if}
  </div>
</div>
