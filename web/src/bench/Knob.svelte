<script lang="ts">
  import NumberChip from '../lib/sentence/NumberChip.svelte';
  import { FIELD } from '../lib/shell/fieldLook';
  import { STAGES } from './bench.svelte';
  import { isSwitch } from './scale';
  import type { NamedSignal } from '../lib/api/api';

  /** A knob: dragged, stepped or typed. */
  interface Props {
    knob: NamedSignal;
    /** In the knob's own unit. */
    value: number;
    turn: (to: number) => void;
  }
  let { knob, value, turn }: Props = $props();

  const isVolts = $derived(knob.unit === 'V');
  const shown = $derived(Math.round(value * knob.shownTimes * 100) / 100);
  const step = $derived(knob.step * knob.shownTimes);
</script>

{#if isSwitch(knob)}
  <label class="mt-2 flex min-h-11 items-center gap-3 text-sm">
    <input
      class="switch"
      type="checkbox"
      role="switch"
      checked={value >= 0.5}
      onchange={(event) => turn(event.currentTarget.checked ? 1 : 0)}
    />
    <span class="grow">{knob.name}</span>
    <span class="text-soft">{value >= 0.5 ? 'yes' : 'no'}</span>
  </label>
{:else if knob.kind === 'STAGE'}
  <label class="mt-2 flex min-h-11 items-center gap-3 text-sm">
    <span class="grow">{knob.name}</span>
    <select
      class={FIELD}
      value={Math.floor(value)}
      onchange={(event) => turn(Number(event.currentTarget.value))}
    >
      {#each Object.values(STAGES) as stage, rank (rank)}<option value={rank}>{stage}</option>{/each}
    </select>
  </label>
{:else}
  <div class="mt-2 grid grid-cols-[1fr_auto] items-center gap-x-3">
    <span class="text-sm">{knob.name}</span>
    <NumberChip
      chip={{
        kind: 'number',
        field: knob.id,
        label: knob.name,
        value: shown,
        unit: knob.unit,
        step: isVolts ? 0.1 : step,
        bigStep: isVolts ? 0.5 : step * 5,
        least: -1000,
        most: 10000,
      }}
      value={shown}
      change={(to) => turn(to / knob.shownTimes)}
    />
    <input
      class="col-span-2 min-h-8 w-full accent-ink"
      type="range"
      min={knob.least}
      max={knob.most}
      step={knob.step}
      {value}
      aria-label="{knob.name}, slider"
      onchange={(event) => turn(Number(event.currentTarget.value))}
    />
  </div>
{/if}

<style>
  .switch {
    display: flex;
    flex: none;
    align-items: center;
    justify-content: flex-start;
    width: 3rem;
    height: 1.5rem;
    padding: 0 0.25rem;
    border: 2px solid var(--ink);
    border-radius: 999px;
    background: var(--paper-raised);
  }
  .switch::before {
    width: 0.85rem;
    height: 0.85rem;
    border-radius: 50%;
    clip-path: none;
    background: var(--ink);
  }
  .switch:checked {
    justify-content: flex-end;
    background: var(--ink);
  }
  .switch:checked::before {
    background: var(--paper);
  }
</style>
