<script lang="ts">
  import type { Sketch } from './sketch';
  import SketchContact from './SketchContact.svelte';
  import SketchMark from './SketchMark.svelte';
  import SketchPart from './SketchPart.svelte';

  /** The one-line diagram; every part, contact and sense point on it can be chosen. */
  interface Props {
    sketch: Sketch;
    chosen?: string;
    /** Paths of parts with something wrong. */
    wrong: Set<string>;
    /** Paths of parts with a number that nobody has confirmed. */
    guessed: Set<string>;
    /** Paths of parts that the chosen contact cuts off while it is open. */
    cut: Set<string>;
    choose: (path: string, schema: string) => void;
    /** Chooses the contact of an output. */
    contact: (output: string) => void;
  }
  let { sketch, chosen, wrong, guessed, cut, choose, contact }: Props = $props();

  const line = (points: [number, number][]) =>
    points.map(([x, y], i) => `${i === 0 ? 'M' : 'L'}${x} ${y}`).join('');
</script>

<svg
  viewBox="0 0 {sketch.width} {sketch.height}"
  class="mx-auto block w-full"
  style:max-width="{sketch.width * 1.15}px"
  role="group"
  aria-label="Wiring sketch"
>
  <defs>
    <pattern id="cut-off" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
      <path d="M0 0V6" stroke="var(--rule-strong)" stroke-width="1.5" />
    </pattern>
  </defs>
  {#each sketch.placed.filter((one) => cut.has(one.part.path)) as { part, box } (part.path)}
    <rect {...box} fill="url(#cut-off)" />
  {/each}
  {#each sketch.wires as wire, i (i)}
    {@const dead = cut.has(wire.path)}
    <path
      d={line(wire.points)}
      fill="none"
      stroke={dead ? 'var(--rule-strong)' : wire.ac ? 'var(--ac)' : 'var(--ink)'}
      stroke-width={wire.weight}
      stroke-dasharray={dead ? '3 5' : undefined}
    />
    {#if wire.drop}
      <text
        class="number halo"
        x={wire.drop.x}
        y={wire.drop.y}
        font-size="12"
        text-anchor="end"
        fill="var(--ink-soft)"><title>what this cable drops at the worst</title>{wire.drop.text}</text
      >
    {/if}
  {/each}
  <path
    d="M{sketch.bus.x} {sketch.bus.from}V{sketch.bus.to}"
    stroke="var(--ink)"
    stroke-width="7"
    stroke-linecap="square"
  />
  {#each sketch.placed as one (one.part.path)}
    <SketchPart
      {one}
      chosen={chosen === one.part.path}
      wrong={wrong.has(one.part.path)}
      guessed={guessed.has(one.part.path)}
      cut={cut.has(one.part.path)}
      {choose}
    />
  {/each}
  {#each sketch.contacts as one (`${one.output} ${one.x} ${one.y}`)}
    <SketchContact {one} chosen={chosen === `program/outputs/${one.output}`} {contact} />
  {/each}
  {#each sketch.marks as mark (mark.path)}
    <SketchMark {mark} chosen={chosen === mark.path} {choose} />
  {/each}
</svg>

<style>
  /* Words stay readable where a wire or a hatch runs behind them. */
  .halo {
    paint-order: stroke;
    stroke: var(--paper);
    stroke-width: 4px;
    stroke-linejoin: round;
  }
</style>
