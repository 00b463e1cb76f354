<script lang="ts">
  import type { RunSummary } from '../lib/api/api';
  import { minute, told } from '../lib/sentence/quantity';

  /** What a run shows, to be read from across the room; an instant leads to its place on the tape. */
  interface Props {
    run: RunSummary;
    zone: string;
    show: (seconds: number) => void;
  }
  let { run, zone, show }: Props = $props();

  const start = $derived(Date.parse(run.start));
  /** What is wrong is large; where nothing is, the first sentence is. */
  const large = $derived(Math.max(1, run.verdict.filter((one) => one.grave).length));
  const at = (seconds: number) => minute(start + seconds * 1000, zone);
</script>

{#snippet statement(one: RunSummary['verdict'][number])}
  {told(one.says)}{#if one.sinceSeconds !== undefined}{@const seconds = one.sinceSeconds},
    <span class="whitespace-nowrap"
      ><button class="since" onclick={() => show(seconds)}>{at(seconds)}</button>.</span
    >{:else}.{/if}
{/snippet}

<section class="px-4 pt-1 pb-3 md:px-6" aria-label="Verdict of the simulated run">
  <p class="text-[1.375rem] leading-8 font-bold text-balance md:text-[1.875rem] md:leading-10">
    {#each run.verdict.slice(0, large) as one (one.says)}<span class="mr-2 {one.grave ? 'text-danger' : ''}"
        >{@render statement(one)}</span
      ><wbr />{/each}
  </p>
  <p class="mt-1 text-soft">
    {#each run.verdict.slice(large) as one (one.says)}<span class="mr-1.5 inline-block"
        >{@render statement(one)}</span
      >{/each}
    Simulated: no proof of safety.
  </p>
</section>

<style>
  .since {
    text-decoration: underline;
    text-decoration-color: var(--rule-strong);
    text-decoration-thickness: 1px;
    text-underline-offset: 4px;
  }
  @media (pointer: coarse) {
    .since {
      min-height: 44px;
    }
  }
</style>
