<script lang="ts">
  import type { Box, Sketch } from './sketch';

  /** The one-line sketch; every part on it can be chosen. */
  interface Props {
    sketch: Sketch;
    chosen?: string;
    /** Paths of parts with something wrong. */
    wrong: Set<string>;
    /** Paths of parts with a number that nobody has confirmed. */
    guessed: Set<string>;
    choose: (path: string, schema: string, name: string) => void;
    /** Goes to the output of a contact. */
    output: (id: string) => void;
  }
  let { sketch, chosen, wrong, guessed, choose, output }: Props = $props();

  const tones: Record<Box['tone'], string> = {
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

  const cut = (text: string, width: number) => {
    const most = Math.floor((width - 18) / 7.2);
    return text.length > most ? `${text.slice(0, most - 1)}…` : text;
  };
  const line = (points: [number, number][]) =>
    points.map(([x, y], i) => `${i === 0 ? 'M' : 'L'}${x} ${y}`).join('');
</script>

<svg
  viewBox="0 0 {sketch.width} {sketch.height}"
  class="w-full min-w-[40rem]"
  role="group"
  aria-label="Wiring sketch"
>
  {#each sketch.wires as wire, i (i)}
    <path
      d={line(wire.points)}
      fill="none"
      stroke={wire.tone === 'ac' ? 'var(--ac)' : 'var(--ink)'}
      stroke-width={wire.points.length > 2 && wire.tone === 'dc' ? 2.5 : 2}
      stroke-dasharray={wire.dashed ? '6 4' : undefined}
    />
    {#if wire.drop}
      {@const [x, y] = wire.points[0] ?? [0, 0]}
      {@const toY = wire.points.at(-1)?.[1] ?? 0}
      <text
        class="number"
        x={x + 8}
        y={y === toY ? y - 6 : (y + toY) / 2 + 4}
        font-size="12"
        fill="var(--ink-soft)"><title>what this cable drops at the worst</title>{wire.drop}</text
      >
    {/if}
  {/each}
  {#each sketch.contacts as one (`${one.output} ${one.x} ${one.y}`)}
    <g
      role="button"
      tabindex="0"
      class="part"
      aria-label="Contact of {one.name}, {one.closed ? 'closed' : 'open or by rule'}: to its output"
      transform="translate({one.x} {one.y}) rotate({one.down ? 90 : 0})"
      onclick={() => output(one.output)}
      onkeydown={(event) => keys(event, () => output(one.output))}
    >
      <title>{one.name}</title>
      <rect x="-22" y="-20" width="44" height="32" fill="transparent" class="target" />
      <path d="M-14 0h28" stroke="var(--paper)" stroke-width="6" />
      <path
        d={one.closed ? 'M-14 0L14 0' : 'M-14 0L12 -11'}
        stroke="var(--ink)"
        stroke-width="2.5"
        stroke-linecap="round"
      />
      <circle
        cx="14"
        cy="0"
        r="3"
        fill={one.closed ? 'var(--ink)' : 'var(--paper)'}
        stroke="var(--ink)"
        stroke-width="2"
      />
    </g>
  {/each}
  {#each sketch.boxes as box (`${box.path} ${box.x}`)}
    {@const bad = wrong.has(box.path)}
    <g
      role="button"
      tabindex="0"
      class="part"
      aria-label="{box.name}, {box.detail}{bad ? ', with a finding' : ''}{guessed.has(box.path)
        ? ', unconfirmed'
        : ''}"
      aria-pressed={chosen === box.path}
      onclick={() => choose(box.path, box.schema, box.name)}
      onkeydown={(event) => keys(event, () => choose(box.path, box.schema, box.name))}
    >
      <title>{box.name}: {box.detail}</title>
      <rect
        class="target"
        x={box.x}
        y={box.y}
        width={box.width}
        height={box.height}
        fill={chosen === box.path ? 'var(--paper-sunk)' : 'var(--paper-raised)'}
        stroke={bad ? 'var(--danger)' : 'var(--rule-strong)'}
        stroke-width={chosen === box.path ? 2.5 : 1.2}
      />
      <rect x={box.x} y={box.y} width="5" height={box.height} fill={tones[box.tone]} />
      <text x={box.x + 12} y={box.y + 17} font-size="15" font-weight="700" fill="var(--ink)"
        >{cut((bad ? '⚠ ' : '') + box.name, box.width)}</text
      >
      {#if guessed.has(box.path)}
        <text
          x={box.x + box.width - 8}
          y={box.y + 33}
          font-size="15"
          font-weight="700"
          text-anchor="end"
          fill="var(--caution)"><title>a number of it is unconfirmed</title>?</text
        >
      {/if}
      <text class="number" x={box.x + 12} y={box.y + 33} font-size="12.5" fill="var(--ink-soft)"
        >{cut(box.detail, box.width)}</text
      >
    </g>
  {/each}
  {#each sketch.marks as mark (mark.path)}
    <g
      role="button"
      tabindex="0"
      class="part"
      aria-label="Sense point {mark.name}"
      aria-pressed={chosen === mark.path}
      onclick={() => choose(mark.path, 'SensePoint', mark.name)}
      onkeydown={(event) => keys(event, () => choose(mark.path, 'SensePoint', mark.name))}
    >
      <title>read here: {mark.name}</title>
      <circle class="target" cx={mark.x} cy={mark.y} r="12" fill="transparent" />
      <path
        d="M{mark.x} {mark.y - 9}l9 9l-9 9l-9 -9z"
        fill={chosen === mark.path ? 'var(--ink)' : 'var(--paper)'}
        stroke="var(--ink)"
        stroke-width="1.6"
      />
      <text
        x={mark.x}
        y={mark.y + 4}
        font-size="11"
        text-anchor="middle"
        fill={chosen === mark.path ? 'var(--paper)' : 'var(--ink)'}>V</text
      >
    </g>
  {/each}
</svg>

<style>
  .part {
    cursor: pointer;
  }
  .part:focus-visible {
    outline: none;
  }
  .part:focus-visible .target {
    stroke: var(--focus);
    stroke-width: 3;
  }
</style>
