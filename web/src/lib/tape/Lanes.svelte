<script lang="ts">
  import type { OutputFigures } from '../api/api';
  import { lanePath } from './lanes';
  import { LEFT, RIGHT } from './layout';

  interface Props {
    outputs: OutputFigures[];
    /** Shares of each bucket in which a contact was closed, by output. */
    lanes: Record<string, number[]>;
    /** Those of a second run, drawn below each. */
    second?: Record<string, number[]> | undefined;
    names: Record<string, string>;
    /** Outputs that only signal; their lanes are drawn in ink. */
    signalling: string[];
  }
  let { outputs, lanes, second, names, signalling }: Props = $props();

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
    <p class="flex justify-between px-2 pt-1 text-sm text-soft">
      <span>{names[output.output] ?? output.output}</span>
      <span class="pr-3"
        ><span class="number">{output.switchings}</span>
        {output.switchings === 1 ? 'switching' : 'switchings'}</span
      >
    </p>
    {@render lane(
      lanes[output.output],
      signalling.includes(output.output) ? 'var(--ink)' : second ? 'var(--battery)' : 'var(--load)',
    )}
    {#if second}{@render lane(second[output.output], 'var(--load)')}{/if}
  {/each}
</div>
