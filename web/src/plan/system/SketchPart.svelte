<svelte:options namespace="svg" />

<script lang="ts">
  import PartSymbol from './PartSymbol.svelte';
  import type { Placed } from './sketch';
  import SketchButton from './SketchButton.svelte';
  import type { Part } from './tree';

  /** A part on the sketch: its symbol, its name and what it is. */
  interface Props {
    one: Placed;
    chosen: boolean;
    /** Something is wrong with it. */
    wrong: boolean;
    /** A number of it nobody has confirmed. */
    guessed: boolean;
    /** The chosen contact cuts it off while it is open. */
    cut: boolean;
    choose: (path: string, schema: string) => void;
  }
  let { one, chosen, wrong, guessed, cut, choose }: Props = $props();

  const tones: Record<Part['tone'], string> = {
    sun: 'var(--sun)',
    ac: 'var(--ac)',
    battery: 'var(--battery)',
    load: 'var(--load)',
    diverted: 'var(--diverted)',
    plain: 'var(--ink)',
  };

  const part = $derived(one.part);
  const { x, y, words, box } = $derived(one);
  /** Mean width of a letter of 15 and 12.5 px, for cutting what would run into its neighbour. */
  const shortened = (text: string, width: number, letter: number) => {
    const most = Math.floor(width / letter);
    return text.length > most ? `${text.slice(0, most - 1)}…` : text;
  };
  const said = $derived(
    [
      part.name,
      part.detail,
      wrong ? 'with a finding' : '',
      guessed ? 'unconfirmed' : '',
      cut ? 'cut off' : '',
      part.loose ? 'wired to nothing' : '',
    ]
      .filter(Boolean)
      .join(', '),
  );
  const marks = $derived((wrong ? '! ' : '') + (guessed ? '? ' : ''));
</script>

<SketchButton
  id="part-{part.path.replaceAll('/', '-')}"
  label={said}
  title="{part.name}: {part.detail}{part.wire ? `, up to ${part.wire.amperes.toFixed(1)} A` : ''}"
  pressed={chosen}
  act={() => choose(part.path, part.schema)}
>
  <rect
    class="target"
    {...box}
    fill={chosen ? 'var(--ink)' : 'transparent'}
    fill-opacity={chosen ? 0.1 : 1}
  />
  {#if chosen}<path d="M{box.x} {box.y}v{box.height}" stroke="var(--ink)" stroke-width="4" />{/if}
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
    fill={wrong ? 'var(--danger)' : 'var(--ink)'}>{shortened(marks + part.name, words.width, 7.9)}</text
  >
  <text
    class="number halo"
    x={words.x}
    y={y + 15}
    font-size="12.5"
    text-anchor={words.before ? 'end' : 'start'}
    fill="var(--ink-soft)">{shortened(part.detail, words.width, 7.1)}</text
  >
</SketchButton>

<style>
  /* Words stay readable where a wire or a hatch runs behind them. */
  .halo {
    paint-order: stroke;
    stroke: var(--paper);
    stroke-width: 4px;
    stroke-linejoin: round;
  }
</style>
