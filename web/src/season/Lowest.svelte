<script lang="ts">
  /** How low the charge came in each of many weathers, as a histogram. */
  let { charges }: { charges: number[] } = $props();

  /** How many weathers came down to each span of so many percent. */
  const BIN = 2;
  const bins = $derived.by(() => {
    const counts = Array.from({ length: 100 / BIN }, () => 0);
    for (const lowest of charges) {
      const bin = Math.min(counts.length - 1, Math.floor((lowest * 100) / BIN));
      counts[bin] = (counts[bin] ?? 0) + 1;
    }
    return counts;
  });
  const most = $derived(Math.max(1, ...bins));
  const percent = (share: number) => `${Math.round(share * 100)} %`;
</script>

<svg
  class="mt-2 block h-20 w-full max-w-2xl"
  viewBox="-14 0 628 80"
  preserveAspectRatio="xMinYMid"
  role="img"
  aria-label="from {percent(charges[0] ?? 0)} to {percent(charges.at(-1) ?? 0)}"
>
  {#each bins as count, i (i)}
    {#if count > 0}
      <rect
        x={i * BIN * 6 + 1}
        y={58 - (count / most) * 52}
        width={BIN * 6 - 2}
        height={(count / most) * 52}
        fill="var(--battery)"><title>{count} between {i * BIN} and {(i + 1) * BIN} %</title></rect
      >
    {/if}
  {/each}
  <path d="M0 58H600" stroke="var(--rule-strong)" />
  {#each [0, 20, 40, 60, 80, 100] as mark (mark)}
    <path d="M{mark * 6} 58v5" stroke="var(--rule-strong)" />
    <text x={mark * 6} y="77" text-anchor="middle" class="number fill-soft text-[12px]">{mark} %</text>
  {/each}
</svg>
