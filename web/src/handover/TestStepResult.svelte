<script lang="ts">
  import type { TriedStep } from '../lib/api/api';
  import { day, decimal, duration } from '../lib/sentence/quantity';
  import SeverityMark from '../lib/shell/SeverityMark.svelte';

  /** What was measured at a level last, with what, by whom and when; nothing before it is tried. */
  let { one, zone }: { one: TriedStep; zone: string } = $props();

  const unit = $derived(one.step.unit);
  const at = (value: number) => `${decimal(value)} ${unit}`.trim();
</script>

{#if one.last}
  <p>
    {#if one.failure}
      <SeverityMark severity="DANGER" brief /> <b>Failed: {one.failure}</b>
    {:else if one.last.measured === undefined}
      <b>Left out:</b> {one.last.note}
    {:else}
      <b>Passed at <span class="number">{at(one.last.measured)}</span></b>{one.last.afterSeconds === undefined
        ? ''
        : ` after ${duration(one.last.afterSeconds)}`}{one.last.setTo === undefined
        ? ''
        : `, set to ${at(one.last.setTo)} for the test`}
    {/if}
    <span class="text-soft">
      {one.last.instrument}{one.last.instrument ? ', ' : ''}{one.last.measuredBy}, {day(
        one.last.measuredAt,
        zone,
      )}{one.times > 1 ? `, measured ${one.times} times` : ''}</span
    >
  </p>
{/if}
