<script lang="ts">
  import type { Output, OutputReading } from '../lib/api/api';
  import SentenceEditor from '../lib/sentence/SentenceEditor.svelte';
  import Action from '../lib/shell/Action.svelte';
  import { typed } from '../lib/sentence/quantity';
  import { FIELD } from '../lib/shell/fieldLook';
  import { suppliesOf, switchableOf, withoutOutput } from './outputs';
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

  const volts = $derived(editor.plan?.site.nominalVolts ?? 12);
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
  const supplies = $derived(editor.plan ? suppliesOf(editor.plan) : []);
  /** What no other output drives. */
  const switchable = $derived.by(() => {
    if (!editor.plan) return [];
    const taken = editor.plan.program.outputs
      .filter((one) => one.id !== output.id)
      .flatMap((one) => one.loads);
    return switchableOf(editor.plan).filter((one) => !taken.includes(one.id));
  });
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
  <fieldset class="mt-3">
    <legend class="text-sm">Behind its contact</legend>
    <div class="flex flex-wrap gap-x-5">
      {#each switchable as one (one.id)}
        <label class="flex min-h-9 items-center gap-2"
          ><input
            type="checkbox"
            class="size-5 accent-ink"
            checked={output.loads.includes(one.id)}
            onchange={(event) => {
              const others = output.loads.filter((id) => id !== one.id);
              put({ loads: event.currentTarget.checked ? [...others, one.id] : others }, 'what it drives');
            }}
          />{one.name}</label
        >
      {:else}<p class="text-soft">Everything here is behind another contact.</p>{/each}
    </div>
  </fieldset>
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
      >Without power<select
        class="field mt-1 block"
        value={output.dead ?? 'OPEN'}
        onchange={(event) =>
          put({ dead: event.currentTarget.value as Output['dead'] }, 'position without power')}
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
</div>
