<script lang="ts">
  /** A make contact as circuit diagrams draw it (IEC 60617 style): a blade that touches when closed. */
  let { closed, label }: { closed: boolean; label: string } = $props();
</script>

<svg
  viewBox="0 0 64 32"
  class="h-8 w-16 shrink-0"
  role="img"
  aria-label="{label}: {closed ? 'closed' : 'open'}"
>
  <g stroke="var(--ink)" stroke-width="2.5" fill="none" stroke-linecap="round">
    <path d="M2 22H20M44 22H62" />
    <path class="blade" d={closed ? 'M20 22L45 22' : 'M20 22L42 8'} />
  </g>
  <circle
    cx="44"
    cy="22"
    r="2.6"
    fill={closed ? 'var(--ink)' : 'var(--paper)'}
    stroke="var(--ink)"
    stroke-width="2"
  />
</svg>

<style>
  .blade {
    transition: d 120ms linear;
  }
</style>
