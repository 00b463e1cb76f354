<script lang="ts">
  import type { Plan } from '../lib/api/api';
  import { fixed } from '../lib/sentence/quantity';
  import { bandOf } from '../lib/tape/band';
  import BandPicture from '../lib/tape/BandPicture.svelte';
  import { lanePath } from '../lib/tape/lanes';
  import type { Season } from './season.svelte';

  /** The tape as a strip that stays in view on a phone: the battery's voltage, and the lane of the output that is open. */
  let { season, plan, output }: { season: Season; plan: Plan; output: string | undefined } = $props();

  const WIDE = 360;
  const HIGH = 64;
  const answer = $derived(season.answer);
  const trace = $derived(answer?.view.trace);
  const name = $derived(plan.program.outputs.find((one) => one.id === output)?.name);
  const figures = $derived(answer?.outputs.find((one) => one.output === output));
  const band = $derived(trace && bandOf(trace.lowBatteryVolts, trace.highBatteryVolts, WIDE, HIGH, 3, 0.1));
</script>

{#if answer && band}
  <button
    class="no-print fixed inset-x-0 bottom-0 z-10 block h-[140px] border-t-2 border-rule-strong bg-paper px-4 py-2 text-left md:hidden"
    aria-label="To the tape in full"
    onclick={() => document.getElementById('tape')?.scrollIntoView({ block: 'start' })}
  >
    <span class="flex justify-between text-sm">
      <span>{season.days} d, simulated</span>
      <span class="number font-bold">{fixed(band.least, 2)} to {fixed(band.most, 2)} V</span>
    </span>
    <BandPicture {band} wide={WIDE} high={HIGH} class="block h-16 w-full" />
    {#if output && figures}
      <svg class="block h-4 w-full" viewBox="0 0 {WIDE} 16" preserveAspectRatio="none" aria-hidden="true">
        <path d="M0 15H{WIDE}" stroke="var(--rule-strong)" stroke-dasharray="3 4" />
        <path d={lanePath(answer.view.lanes[output] ?? [], 0, WIDE, 14)} fill="var(--load)" />
      </svg>
      <span class="flex justify-between text-sm text-soft">
        <span class="truncate">{name}</span>
        <span class="shrink-0 tabular-nums"
          >{figures.switchings} {figures.switchings === 1 ? 'switching' : 'switchings'}</span
        >
      </span>
    {/if}
  </button>
  <div class="h-[140px] md:hidden"></div>
{/if}
