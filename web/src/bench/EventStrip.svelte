<script lang="ts">
  import { tick } from 'svelte';
  import type { Event } from '../lib/api/api';
  import { duration, fixed, told } from '../lib/sentence/quantity';
  import { happened, isGrave } from '../lib/tape/events';

  /** What happened at the bench in one line, oldest first and the newest in view, with the time from one to the next. */
  let { events, names }: { events: Event[]; names: Record<string, string> } = $props();

  let strip = $state<HTMLElement>();
  const name = (event: Event) => names[event.subject] ?? 'Bus';
  function since(i: number): string {
    const before = i === 0 ? 0 : (events[i - 1]?.seconds ?? 0);
    const seconds = (events[i]?.seconds ?? 0) - before;
    if (seconds < 0.05) return i === 0 ? 'at once' : 'with it';
    return `+ ${seconds < 60 ? `${fixed(seconds, 1)} s` : duration(Math.round(seconds))}`;
  }

  $effect(() => {
    void events.length;
    void tick().then(() => strip?.scrollTo({ left: strip.scrollWidth }));
  });
</script>

{#if events.length > 0}
  <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
  <ol
    bind:this={strip}
    class="no-print more-aside flex h-14 items-stretch overflow-x-auto border-b border-rule bg-sunk px-4 md:px-6"
    aria-label="What happened, oldest first"
    tabindex="0"
  >
    {#each events as event, i (i)}
      <li class="flex shrink-0 items-center whitespace-nowrap">
        <span class="number px-2 text-sm text-soft">{since(i)}</span>
        <span
          class="flex h-full flex-col justify-center border-l-4 pr-3 pl-2 leading-5 {isGrave(event.kind) ||
          event.kind === 'OPENED'
            ? 'border-danger'
            : 'border-rule-strong'}"
          title={told(event.reason)}
        >
          <span class="text-sm">{name(event)}</span>
          <strong class={isGrave(event.kind) ? 'text-danger' : ''}
            >{happened(event.kind) || told(event.reason)}</strong
          >
        </span>
      </li>
    {/each}
  </ol>
{/if}
