<script lang="ts">
  import PartSymbol from './PartSymbol.svelte';
  import type { Placed, Sketch } from './sketch';
  import type { Part } from './tree';

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

  const tones: Record<Part['tone'], string> = {
    sun: 'var(--sun)',
    ac: 'var(--ac)',
    battery: 'var(--battery)',
    load: 'var(--load)',
    diverted: 'var(--diverted)',
    plain: 'var(--ink)',
  };

  function keys(event: KeyboardEvent, act: () => void) {
    if (event.key !== 'Enter' && event.key !== ' ') return;
    event.preventDefault();
    act();
  }

  /** Mean width of a letter of 15 and 12.5 px, for cutting what would run into its neighbour. */
  const shortened = (text: string, width: number, letter: number) => {
    const most = Math.floor(width / letter);
    return text.length > most ? `${text.slice(0, most - 1)}…` : text;
  };
  const line = (points: [number, number][]) =>
    points.map(([x, y], i) => `${i === 0 ? 'M' : 'L'}${x} ${y}`).join('');
  const said = (one: Part) =>
    [
      one.name,
      one.detail,
      wrong.has(one.path) ? 'with a finding' : '',
      guessed.has(one.path) ? 'unconfirmed' : '',
      cut.has(one.path) ? 'cut off' : '',
      one.loose ? 'wired to nothing' : '',
    ]
      .filter(Boolean)
      .join(', ');
  const marksBefore = (one: Placed) =>
    (wrong.has(one.part.path) ? '⚠ ' : '') + (guessed.has(one.part.path) ? '? ' : '');
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
    {@const { part, x, y, words, box } = one}
    {@const isChosen = chosen === part.path}
    <g
      id="part-{part.path.replaceAll('/', '-')}"
      role="button"
      tabindex="0"
      class="part"
      aria-label={said(part)}
      aria-pressed={isChosen}
      onclick={() => choose(part.path, part.schema)}
      onkeydown={(event) => keys(event, () => choose(part.path, part.schema))}
    >
      <title>{part.name}: {part.detail}{part.wire ? `, up to ${part.wire.amperes.toFixed(1)} A` : ''}</title>
      <rect
        class="target"
        {...box}
        fill={isChosen ? 'var(--ink)' : 'transparent'}
        fill-opacity={isChosen ? 0.1 : 1}
      />
      {#if isChosen}<path d="M{box.x} {box.y}v{box.height}" stroke="var(--ink)" stroke-width="4" />{/if}
      {#if part.schema !== 'Cable'}
        <g transform="translate({x} {y})"><PartSymbol symbol={part.symbol} colour={tones[part.tone]} /></g>
      {/if}
      <text
        class="halo"
        x={words.x}
        y={y - 6}
        font-size="15"
        font-weight="700"
        text-anchor={words.before ? 'end' : 'start'}
        fill={wrong.has(part.path) ? 'var(--danger)' : 'var(--ink)'}
        >{shortened(marksBefore(one) + part.name, words.width, 7.9)}</text
      >
      <text
        class="number halo"
        x={words.x}
        y={y + 15}
        font-size="12.5"
        text-anchor={words.before ? 'end' : 'start'}
        fill="var(--ink-soft)">{shortened(part.detail, words.width, 7.1)}</text
      >
    </g>
  {/each}
  {#each sketch.contacts as one (`${one.output} ${one.x} ${one.y}`)}
    {@const isChosen = chosen === `program/outputs/${one.output}`}
    <g
      id="contact-{one.output}-{one.y}"
      role="button"
      tabindex="0"
      class="part"
      aria-label="Contact of {one.name}, {one.closed ? 'closed' : 'open or by rule'}"
      aria-pressed={isChosen}
      transform="translate({one.x} {one.y})"
      onclick={() => contact(one.output)}
      onkeydown={(event) => keys(event, () => contact(one.output))}
    >
      <title>{one.name}</title>
      <rect
        x="-20"
        y="-20"
        width="40"
        height="34"
        class="target"
        fill={isChosen ? 'var(--ink)' : 'transparent'}
        fill-opacity={isChosen ? 0.15 : 1}
      />
      <path d="M-12 0h24" stroke="var(--paper)" stroke-width="8" />
      <path
        d={one.closed ? 'M-12 0L12 0' : 'M-12 0L10 -11'}
        stroke="var(--ink)"
        stroke-width="2.5"
        stroke-linecap="round"
      />
      <circle
        cx="12"
        r="3"
        fill={one.closed ? 'var(--ink)' : 'var(--paper)'}
        stroke="var(--ink)"
        stroke-width="2"
      />
    </g>
  {/each}
  {#each sketch.marks as mark (mark.path)}
    {@const isChosen = chosen === mark.path}
    <g
      id="part-{mark.path.replaceAll('/', '-')}"
      role="button"
      tabindex="0"
      class="part"
      aria-label="Sense point {mark.name}"
      aria-pressed={isChosen}
      transform="translate({mark.x} {mark.y})"
      onclick={() => choose(mark.path, 'SensePoint')}
      onkeydown={(event) => keys(event, () => choose(mark.path, 'SensePoint'))}
    >
      <title>read here: {mark.name}</title>
      <circle class="target" r="12" fill="transparent" />
      <path
        d="M0 -9l9 9l-9 9l-9 -9z"
        fill={isChosen ? 'var(--ink)' : 'var(--paper)'}
        stroke="var(--ink)"
        stroke-width="1.6"
      />
      <text y="4" font-size="11" text-anchor="middle" fill={isChosen ? 'var(--paper)' : 'var(--ink)'}>V</text>
    </g>
  {/each}
</svg>

<style>
  .part {
    cursor: pointer;
  }
  .part:hover .target {
    stroke: var(--rule-strong);
  }
  .part:focus-visible {
    outline: none;
  }
  .part:focus-visible .target {
    stroke: var(--focus);
    stroke-width: 3;
  }
  /* Words stay readable where a wire or a hatch runs behind them. */
  .halo {
    paint-order: stroke;
    stroke: var(--paper);
    stroke-width: 4px;
    stroke-linejoin: round;
  }
</style>
