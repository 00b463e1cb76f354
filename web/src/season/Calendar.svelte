<script lang="ts">
  import type { DaySummary } from '../lib/api/api';
  import { energy } from '../lib/sentence/quantity';
  import { FIELD } from '../lib/shell/fieldLook';
  import { calendar, SHOWN, type Shows } from './calendar';
  import type { Span } from './spans.svelte';

  /** The days of a run; one that is chosen is shown on the tape, and those that are shown there are framed. */
  interface Props {
    days: DaySummary[];
    choose: (day: number) => void;
    shown?: Span | undefined;
  }
  let { days, choose, shown }: Props = $props();

  let shows = $state<Shows>('lowest');
  let focused = $state(0);
  let grid = $state<HTMLElement>();
  const months = $derived(calendar(days, shows, energy));
  const isShown = $derived((index: number) => {
    const begins = days[index]?.startSeconds ?? 0;
    const ends = days[index + 1]?.startSeconds ?? Infinity;
    return shown !== undefined && begins < shown.to && ends > shown.from;
  });
  const colour = $derived(shows === 'lowest' ? 'battery' : shows === 'surplus' ? 'sun' : 'ink');

  function keys(event: KeyboardEvent) {
    const by: Record<string, number> = { ArrowLeft: -1, ArrowRight: 1, ArrowUp: -30, ArrowDown: 30 };
    const step = by[event.key];
    if (step === undefined) return;
    event.preventDefault();
    focused = Math.max(0, Math.min(days.length - 1, focused + step));
    grid?.querySelector<HTMLElement>(`[data-day="${focused}"]`)?.focus();
  }
</script>

<section aria-labelledby="calendar">
  <div class="flex flex-wrap items-center gap-4">
    <h2 id="calendar" class="grow">Day by day</h2>
    <select class={FIELD} aria-label="What the calendar shows" bind:value={shows}>
      {#each SHOWN as [key, name] (key)}<option value={key}>{name}</option>{/each}
    </select>
  </div>
  <p class="mt-1 flex flex-wrap items-center gap-x-4 text-sm text-soft">
    <span class="flex items-center gap-2">
      {shows === 'lowest' ? '0 %' : 'none'}
      {#each [0, 0.25, 0.5, 0.75, 1] as depth (depth)}
        <i
          class="swatch"
          style:background="color-mix(in srgb, var(--{colour}) {depth * 100}%, var(--paper-sunk))"
        ></i>
      {/each}
      {shows === 'lowest' ? '100 %' : 'most'}
    </span>
    <span><i class="swatch mark"></i> something was not served</span>
  </p>
  <!-- svelte-ignore a11y_no_noninteractive_element_interactions -->
  <div
    class="mt-2 overflow-x-auto"
    bind:this={grid}
    onkeydown={keys}
    role="group"
    aria-label="Days of the run"
  >
    {#each months as month (month.name)}
      <div class="flex items-center gap-px pb-px">
        <span class="w-20 shrink-0 text-sm whitespace-nowrap">{month.name}</span>
        {#each month.cells as cell (cell.index)}
          <button
            class="day {cell.unserved ? 'mark' : ''} {isShown(cell.index) ? 'shown' : ''}"
            aria-current={isShown(cell.index) ? 'true' : undefined}
            style:grid-column={cell.day}
            style:margin-left={cell === month.cells[0]
              ? `calc((var(--cell) + 1px) * ${cell.day - 1})`
              : undefined}
            style:background-color="color-mix(in srgb, var(--{colour}) {cell.depth * 100}%, var(--paper-sunk))"
            tabindex={cell.index === focused ? 0 : -1}
            data-day={cell.index}
            title="{cell.day} {month.name}: {cell.says}{cell.unserved ? ', something was not served' : ''}"
            aria-label="{cell.day} {month.name}: {cell.says}{cell.unserved
              ? ', something was not served'
              : ''}"
            onclick={() => {
              focused = cell.index;
              choose(cell.index);
            }}
          ></button>
        {/each}
      </div>
    {/each}
  </div>
</section>

<style>
  section {
    --cell: clamp(10px, calc((100cqw - 6rem) / 31 - 1px), 26px);
    container-type: inline-size;
  }
  .day {
    width: var(--cell);
    height: 22px;
    flex: none;
  }
  .swatch {
    display: inline-block;
    width: 16px;
    height: 14px;
    background-color: var(--paper-sunk);
  }
  .mark {
    background-image: linear-gradient(135deg, var(--danger) 0 4px, transparent 4px);
    box-shadow: inset 0 -3px 0 var(--danger);
  }
  .shown {
    border-block: 3px solid var(--ink);
  }
  .day:hover {
    outline: 2px solid var(--ink);
  }
</style>
