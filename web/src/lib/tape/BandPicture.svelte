<script lang="ts">
  import type { bandOf } from './band';

  /** The least and most of a quantity over a span as a small picture without an axis; what it reads stands beside it. */
  interface Props {
    band: NonNullable<ReturnType<typeof bandOf>>;
    wide: number;
    high: number;
    class?: string;
  }
  let { band, wide, high, class: look = '' }: Props = $props();
</script>

<svg class={look} viewBox="0 0 {wide} {high}" preserveAspectRatio="none" aria-hidden="true">
  <path d={band.path} fill="var(--battery-soft)" stroke="var(--battery)" vector-effect="non-scaling-stroke" />
</svg>
