<svelte:options namespace="svg" />

<script lang="ts">
  import type { Sketch } from './sketch';
  import SketchButton from './SketchButton.svelte';

  /** Where a voltage is read. */
  interface Props {
    mark: Sketch['marks'][number];
    chosen: boolean;
    choose: (path: string, schema: string) => void;
  }
  let { mark, chosen, choose }: Props = $props();
</script>

<SketchButton
  id="part-{mark.path.replaceAll('/', '-')}"
  label="Sense point {mark.name}"
  title="read here: {mark.name}"
  pressed={chosen}
  transform="translate({mark.x} {mark.y})"
  act={() => choose(mark.path, 'SensePoint')}
>
  <circle class="target" r="12" fill="transparent" />
  <path
    d="M0 -9l9 9l-9 9l-9 -9z"
    fill={chosen ? 'var(--ink)' : 'var(--paper)'}
    stroke="var(--ink)"
    stroke-width="1.6"
  />
  <text y="4" font-size="11" text-anchor="middle" fill={chosen ? 'var(--paper)' : 'var(--ink)'}>V</text>
</SketchButton>
