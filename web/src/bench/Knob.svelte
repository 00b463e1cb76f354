<script lang="ts">
  import NumberChip from '../lib/sentence/NumberChip.svelte';
  import { knobName, knobRange, knobScale, knobUnit } from './bench.svelte';

  /** A knob: dragged, stepped or typed. */
  interface Props {
    knob: string;
    value: number;
    nominalVolts: number;
    /** Names of parts by their ids. */
    names: Record<string, string>;
    turn: (to: number) => void;
  }
  let { knob, value, nominalVolts, names, turn }: Props = $props();

  const name = $derived(knobName(knob, names));
  const scale = $derived(knobScale(knob));
  const unit = $derived(scale === 100 ? '%' : knobUnit(knob));
  const range = $derived(knobRange(knob, nominalVolts));
  const isVolts = $derived(unit === 'V');
  const shown = $derived(Math.round(value * scale * 100) / 100);
</script>

<div class="mt-2 grid grid-cols-[1fr_auto] items-center gap-x-3">
  <span class="text-sm">{name}</span>
  <NumberChip
    chip={{
      kind: 'number',
      field: knob,
      label: name,
      value: shown,
      unit,
      step: isVolts ? 0.1 : range.step * scale,
      bigStep: isVolts ? 0.5 : range.step * scale * 5,
      least: -1000,
      most: 10000,
    }}
    value={shown}
    change={(to) => turn(to / scale)}
  />
  <input
    class="col-span-2 min-h-8 w-full accent-ink"
    type="range"
    min={range.least}
    max={range.most}
    step={range.step}
    {value}
    aria-label="{name}, slider"
    onchange={(event) => turn(Number(event.currentTarget.value))}
  />
</div>
