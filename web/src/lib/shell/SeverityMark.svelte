<script lang="ts">
  /** A severity by shape, colour and word; with a number in lists. */
  interface Props {
    severity: 'DANGER' | 'CAUTION' | 'NOTE';
    count?: number;
    /** Shape and number alone, where a row has no room for the word. */
    brief?: boolean;
  }
  let { severity, count, brief = false }: Props = $props();

  const words = { DANGER: 'danger', CAUTION: 'caution', NOTE: 'note' };
</script>

<span class="inline-flex items-baseline gap-1 whitespace-nowrap">
  <svg viewBox="0 0 16 16" class="h-4 w-4 translate-y-0.5" aria-hidden="true">
    {#if severity === 'DANGER'}
      <path d="M8 1 15.5 15H.5z" fill="var(--danger)" />
      <path d="M8 6v4.5M8 12v1.4" stroke="var(--on-danger)" stroke-width="1.8" />
    {:else if severity === 'CAUTION'}
      <path d="M8 2 14.5 14h-13z" fill="none" stroke="var(--sun)" stroke-width="2" />
    {:else}
      <circle cx="8" cy="8" r="6" fill="none" stroke="var(--ink)" stroke-width="1.6" />
    {/if}
  </svg>
  <span
    class={severity === 'DANGER'
      ? 'font-bold text-danger'
      : severity === 'CAUTION'
        ? 'font-bold text-caution'
        : ''}
  >
    {#if count && !(brief && count === 1)}<span class="number">{count}</span>{/if}
    <span class={brief ? 'sr-only' : ''}>{words[severity]}</span>
  </span>
</span>
