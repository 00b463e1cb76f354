<script lang="ts">
  import NumberChip from '../lib/sentence/NumberChip.svelte';
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
