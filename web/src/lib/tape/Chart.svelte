<script lang="ts">
  import { theme } from '../shell/theme.svelte';
  import type { Common } from './plot';

  /** A chart as wide as its place; drawn anew when what it shows is other. */
  interface Props {
    label: string;
    zone: string;
    /** How high it is (px): the room is kept until it is drawn, so that nothing below moves. */
    high: number;
    /** What is drawn: it is drawn anew when one of these is another. */
    of: unknown[];
    draw: (host: HTMLElement, common: Common, high: number) => Promise<{ destroy: () => void }>;
    hover?: (seconds: number | undefined) => void;
  }
  let { label, zone, high, of, draw, hover = () => undefined }: Props = $props();

  let width = $state(0);
  let host = $state<HTMLElement>();

  $effect(() => {
    const [there, wide, dark] = [host, width, theme.dark, ...of];
    if (!there || !wide || dark === undefined) return;
    let ended = false;
    let drawn: { destroy: () => void } | undefined;
    const common: Common = {
      width: wide,
      zone,
      choose: () => undefined,
      hover,
      start: 0,
      isLit: () => false,
    };
    // Its numbers are drawn, not set: the face has to be there before.
    void document.fonts.load('12px "Atkinson Hyperlegible Mono"').then(async () => {
      if (ended) return;
      const chart = await draw(there, common, high);
      if (ended) chart.destroy();
      else drawn = chart;
    });
    return () => {
      ended = true;
      drawn?.destroy();
    };
  });
</script>

<div bind:clientWidth={width} class="w-full overflow-hidden">
  <div bind:this={host} role="img" aria-label={label} style:min-height="{high}px"></div>
</div>
