<script lang="ts">
  import type { Output, OutputReading } from '../lib/api/api';
  import SentenceEditor from '../lib/sentence/SentenceEditor.svelte';
  import { typed } from '../lib/sentence/quantity';
  import { FIELD } from '../lib/shell/fieldLook';
  import { suppliesOf } from './outputs';
  import BehindContact from './BehindContact.svelte';
  import OptionalParts from './OptionalParts.svelte';
  import OutputFits from './OutputFits.svelte';
  import type { PlanEditor } from './planEditor.svelte';

  /** What an output physically is: contact, clock, positions, and where it acts. */
  interface Props {
    editor: PlanEditor;
    output: Output;
    reading?: OutputReading;
    errors: (slot: 'contact' | 'clock') => Record<string, string>;
    change: (slot: 'contact' | 'clock', field: string, label: string, value: number | string) => void;
  }
  let { editor, output, reading, errors, change }: Props = $props();

  const atController = $derived(
    (editor.plan?.site.controllers ?? []).some((one) => output.loads.includes(one.id)),
  );

  const inverter = $derived(editor.plan?.site.inverter);
  const atInverter = $derived(inverter?.charger !== undefined && output.loads.includes(inverter.id));

  function put(value: Partial<Output>, says: string) {
    editor.set(['program', 'outputs', output.id], { ...output, ...value }, () => `${says} of ${output.name}`);
  }

  function without(key: 'contact' | 'clock' | 'supply') {
    const rest = Object.fromEntries(Object.entries(output).filter(([name]) => name !== key));
    editor.set(['program', 'outputs', output.id], rest, () => `${key} of ${output.name} is no longer set`);
  }

  const supplies = $derived(editor.plan ? suppliesOf(editor.plan) : []);
  const positions = [
    ['OPEN', 'open'],
    ['CLOSED', 'closed'],
  ] as const;
  /** Where its contact can act on what it is in front of. */
  const sides = $derived([
    ['ENABLE', atInverter ? 'on all of it, at its enable input' : 'at its enable input'],
    ...(atInverter ? [['CHARGE', 'on charging alone, at its charge enable']] : []),
    ...(atController
      ? [
          ['ARRAY', 'in the line from the array'],
          ['BATTERY', 'in the line to the battery'],
        ]
      : []),
  ]);
</script>

<div class="mt-2 border-l-4 border-ink bg-raised p-3">
  <div class="flex flex-wrap items-end gap-4">
    <label class="grid grow gap-1 text-sm"
      >What the crew calls it<input
        class={FIELD}
        maxlength="120"
        value={output.name}
        onchange={(event) => put({ name: event.currentTarget.value }, 'name')}
      /></label
    >
    <label class="text-sm"
      >Fed from<select
        class="field mt-1 block"
        value={output.supply ?? ''}
        onchange={(event) => {
          const supply = event.currentTarget.value;
          if (supply === '') without('supply');
          else put({ supply }, 'supply');
        }}
      >
        <option value="">main bus</option>
        {#each supplies as one (one.id)}<option value={one.id}>{one.name}</option>{/each}
      </select></label
    >
    <label class="grid gap-1 text-sm"
      >Its coil draws, W<input
        class="{FIELD} w-28"
        inputmode="decimal"
        value={output.coilWatts ?? 0}
        onchange={(event) => {
          const coilWatts = typed(event.currentTarget.value, 'W');
          if (coilWatts !== undefined) put({ coilWatts }, 'coil');
          else event.currentTarget.value = String(output.coilWatts ?? 0);
        }}
      /></label
    >
  </div>
  <BehindContact {editor} {output} {put} />
  {#each ['contact', 'clock'] as const as slot (slot)}
    {@const [sentence, rule] = [reading?.[slot], output[slot]]}
    {#if rule && sentence}
      <SentenceEditor
        {sentence}
        rule={{ ...rule }}
        errors={errors(slot)}
        change={(field, label, value) => change(slot, field, label, value)}
      />
    {/if}
  {/each}
  {#if output.contact}
    <OptionalParts
      {editor}
      value={output.contact}
      schema="Contact"
      path="program/outputs/{output.id}/contact"
      of="the contact of {output.name}"
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
      >Without power<select
        class="field mt-1 block"
        value={output.withoutPower ?? 'OPEN'}
        onchange={(event) =>
          put(
            { withoutPower: event.currentTarget.value as Output['withoutPower'] },
            'position without power',
          )}
      >
        {#each positions as [value, word] (value)}<option {value}>{word}</option>{/each}
      </select></label
    >
    {#if atController || atInverter}
      <label class="text-sm"
        >It acts on {atInverter ? 'the inverter' : 'a controller'}<select
          class="field mt-1 block"
          value={output.side ?? 'ENABLE'}
          onchange={(event) => put({ side: event.currentTarget.value as Output['side'] }, 'side')}
        >
          {#each sides as [value, word] (value)}<option {value}>{word}</option>{/each}
        </select></label
      >
    {/if}
  </div>
  <OutputFits {editor} {output} {put} {without} />
</div>
