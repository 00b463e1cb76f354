<script lang="ts">
  import type { OutputFigures } from '../api/api';
  import { LEFT, RIGHT } from './layout';

  interface Props {
    outputs: OutputFigures[];
    names: Record<string, string>;
    /** Outputs that only signal; their lanes are drawn in ink. */
    signalling: string[];
    from: number;
    to: number;
    end: number;
  }
  let { outputs, names, signalling, from, to, end }: Props = $props();

  let width = $state(0);
  const inner = $derived(Math.max(1, width - LEFT - RIGHT));

  /** Spans in which a contact is closed, cut to what is shown. */
  function spans(output: OutputFigures) {
    const edges = [0, ...output.changeSeconds.filter((seconds) => seconds > 0), end];
    const first = output.startsClosed ? 0 : 1;
    const result: { x: number; width: number }[] = [];
    const x = (seconds: number) =>
      LEFT + ((Math.min(to, Math.max(from, seconds)) - from) / (to - from)) * inner;
    for (let i = first; i + 1 < edges.length; i += 2) {
      const a = edges[i] ?? 0;
      const b = edges[i + 1] ?? end;
      if (b > from && a < to) result.push({ x: x(a), width: Math.max(1, x(b) - x(a)) });
    }
    return result;
  }
</script>

<div bind:clientWidth={width} class="w-full">
  {#each outputs as output (output.output)}
    <p class="flex justify-between px-2 pt-1 text-sm text-soft">
      <span>{names[output.output] ?? output.output}</span>
      <span class="pr-3"
        ><span class="number">{output.switchings}</span>
        {output.switchings === 1 ? 'switching' : 'switchings'}</span
      >
    </p>
    <svg class="block h-4 w-full" aria-hidden="true">
      <path d="M{LEFT} 8H{LEFT + inner}" stroke="var(--rule-strong)" stroke-dasharray="3 4" />
      {#each spans(output) as span, i (i)}
        <rect
          x={span.x}
          y="1"
          width={span.width}
          height="14"
          fill={signalling.includes(output.output) ? 'var(--ink)' : 'var(--load)'}
        />
      {/each}
    </svg>
  {/each}
</div>
