<script lang="ts">
  import type { NumberedEvent } from '../api/api';
  import { LEFT, RIGHT } from './layout';
  import { happened, isGrave } from './events';

  interface Props {
    marks: NumberedEvent[];
    total: number;
    names: Record<string, string>;
    from: number;
    to: number;
    picked?: number | undefined;
    pick: (mark: NumberedEvent) => void;
  }
  let { marks, total, names, from, to, picked, pick }: Props = $props();

  let width = $state(0);
  const inner = $derived(Math.max(1, width - LEFT - RIGHT));
  const x = (seconds: number) => LEFT + ((seconds - from) / (to - from)) * inner;
  /** One mark for those that would lie on each other; a grave one goes first. */
  const apart = $derived.by(() => {
    const kept: NumberedEvent[] = [];
    for (const mark of marks) {
      const last = kept.at(-1);
      if (!last || x(mark.event.seconds) - x(last.event.seconds) >= 3) kept.push(mark);
      else if (isGrave(mark.event.kind) && !isGrave(last.event.kind)) kept[kept.length - 1] = mark;
    }
    return kept;
  });
  /** A mark is thin: what is nearest to a finger is meant. */
  const REACH = 22;
  function touch(event: MouseEvent & { currentTarget: SVGElement }) {
    const at = event.clientX - event.currentTarget.getBoundingClientRect().left;
    const away = (mark: NumberedEvent) => Math.abs(x(mark.event.seconds) - at);
    const [nearest] = [...apart].sort((one, other) => away(one) - away(other));
    if (nearest && away(nearest) <= REACH) pick(nearest);
  }
</script>

<div bind:clientWidth={width} class="w-full">
  <p class="px-2 text-sm text-soft">
    Events{#if total > marks.length}, the first <span class="number">{marks.length}</span> of
      <span class="number">{total}</span>; come closer to see each{/if}
  </p>
  <!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_noninteractive_element_interactions -->
  <svg
    class="block h-6 w-full pointer-coarse:h-11"
    role="group"
    aria-label="Events in what is shown"
    onclick={touch}
  >
    <path d="M{LEFT} 20H{LEFT + inner}" stroke="var(--rule-strong)" />
    {#each apart as mark (mark.index)}
      {@const grave = isGrave(mark.event.kind)}
      {@const name = `${names[mark.event.subject] ?? 'Bus'} ${happened(mark.event.kind)}: ${mark.event.reason}`}
      <path
        d={grave ? 'M-6 18L0 4L6 18z' : mark.index === picked ? 'M-2 20V2H2V20z' : 'M-0.8 20V8H0.8V20z'}
        transform="translate({x(mark.event.seconds)} 0)"
        fill={grave ? 'var(--danger)' : 'var(--ink)'}
        class="cursor-pointer"
        role="button"
        tabindex="-1"
        aria-label={name}
        onclick={(event) => {
          event.stopPropagation();
          pick(mark);
        }}
        onkeydown={(event) => event.key === 'Enter' && pick(mark)}><title>{name}</title></path
      >
    {/each}
  </svg>
</div>
