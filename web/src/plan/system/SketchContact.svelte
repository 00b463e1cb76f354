<svelte:options namespace="svg" />

<script lang="ts">
  import type { Sketch } from './sketch';
  import SketchButton from './SketchButton.svelte';

  /** The contact of an output on the wire it opens: its blade stands as it does at rest. */
  interface Props {
    one: Sketch['contacts'][number];
    chosen: boolean;
    contact: (output: string) => void;
  }
  let { one, chosen, contact }: Props = $props();
</script>

<SketchButton
  id="contact-{one.output}-{one.y}"
  label="Contact of {one.name}, {one.closed ? 'closed' : 'open or by rule'}"
  title={one.name}
  pressed={chosen}
  transform="translate({one.x} {one.y})"
  act={() => contact(one.output)}
>
  <rect
    x="-20"
    y="-20"
    width="40"
    height="34"
    class="target"
    fill={chosen ? 'var(--ink)' : 'transparent'}
    fill-opacity={chosen ? 0.15 : 1}
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
</SketchButton>
