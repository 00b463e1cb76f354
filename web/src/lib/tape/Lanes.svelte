<script lang="ts">
  import type { OutputFigures } from '../api/api';
  import { lit } from '../gauge/lit.svelte';
  import { lanePath, type Counts } from './lanes';
  import { LEFT, RIGHT } from './layout';

  interface Props {
    outputs: OutputFigures[];
    /** Shares of each bucket in which a contact was closed, by output. */
    lanes: Record<string, number[]>;
    /** Those of a second run, drawn below each, with its name and how often each contact moved in it. */
    second?:
      | { lanes: Record<string, number[]>; name: string; counts: Record<string, number> | undefined }
      | undefined;
    names: Record<string, string>;
    /** Outputs that only signal; their lanes are drawn in ink. */
    signalling: string[];
    /** How often each output switched in what is shown; absent where only the whole run is known. */
    counts?: Counts | undefined;
    /** Whether what is shown is only a part of the run. */
    part?: boolean;
    /** Which span of the lanes the cursor stands in. */
    at?: number | undefined;
  }
  let { outputs, lanes, second, names, signalling, counts, part = false, at }: Props = $props();

  function switched(output: OutputFigures): string {
    const count = counts?.[output.output] ?? (counts ? 0 : output.switchings);
    const words = `${count} ${count === 1 ? 'switching' : 'switchings'}`;
    const whole = part && !counts ? ' in the whole run' : '';
    return second?.counts
      ? `${words}, with ${second.name} ${second.counts[output.output] ?? 0}`
      : words + whole;
  }

  function stands(shares: number[] | undefined): string {
    const share = at === undefined ? undefined : shares?.[at];
    if (typeof share !== 'number') return '';
    return share >= 1 ? 'closed' : share <= 0 ? 'open' : `closed for ${Math.round(share * 100)} % of it`;
  }

  let width = $state(0);
  const inner = $derived(Math.max(1, width - LEFT - RIGHT));
</script>

{#snippet lane(shares: number[] | undefined, fill: string)}
  <svg class="block h-4 w-full" aria-hidden="true">
    <path d="M{LEFT} 15H{LEFT + inner}" stroke="var(--rule-strong)" stroke-dasharray="3 4" />
    {#if shares}<path d={lanePath(shares, LEFT, inner, 14)} {fill} />{/if}
  </svg>
{/snippet}

<div bind:clientWidth={width} class="w-full">
  {#each outputs as output (output.output)}
    <p class="flex justify-between px-2 pt-0.5 text-sm leading-5 text-soft">
      <span class={lit.path?.startsWith(`program/outputs/${output.output}/`) ? 'font-bold text-focus' : ''}
        >{names[output.output] ?? output.output}<span class="ml-3 font-bold text-ink"
          >{stands(lanes[output.output])}</span
        ></span
      >
      <span class="pr-3 tabular-nums">{switched(output)}</span>
    </p>
    {@render lane(
      lanes[output.output],
      signalling.includes(output.output) ? 'var(--ink)' : second ? 'var(--battery)' : 'var(--load)',
    )}
    {#if second}{@render lane(second.lanes[output.output], 'var(--load)')}{/if}
  {/each}
</div>
