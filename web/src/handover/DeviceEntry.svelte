<script lang="ts">
  import type { ReadEntry } from '../lib/api/api';
  import { day } from '../lib/sentence/quantity';
  import { FIELD } from '../lib/shell/fieldLook';
  import SeverityMark from '../lib/shell/SeverityMark.svelte';
  import type { DeviceRound } from './held.svelte';

  /** An entry of a device's menu: what is planned, large, and what it held when it was read; in turn it is read off. */
  interface Props {
    entry: ReadEntry;
    /** What it is called in full. */
    label: string;
    round: DeviceRound;
    /** Whether the device is being read. */
    reading: boolean;
    hasMenu: boolean;
    /** Classes of the columns all entries share. */
    columns: string;
    zone: string;
  }
  let { entry, label, round, reading, hasMenu, columns, zone }: Props = $props();

  const wrong = $derived(round.refusal(entry.place));
  const unit = (value: string) => `${value} ${entry.unit}`.trim();

  /** Enter goes to the next entry, as in the menu of the device. */
  function next(event: KeyboardEvent) {
    if (event.key !== 'Enter') return;
    event.preventDefault();
    const form = (event.currentTarget as HTMLElement).closest('form');
    const fields = [...(form?.querySelectorAll<HTMLElement>('[data-read]') ?? [])];
    fields[fields.indexOf(event.currentTarget as HTMLElement) + 1]?.focus();
  }
</script>

{#snippet standing()}
  {#if entry.agreement === 'DRIFTED' && entry.read && entry.since}
    <SeverityMark severity="CAUTION" brief />
    <b>holds <span class="number">{unit(entry.read)}</span></b>, since {day(entry.since, zone)}
  {:else if entry.agreement === 'TO_ENTER' && entry.read && entry.readAt}
    <b>to enter</b>: held <span class="number">{unit(entry.read)}</span> on {day(entry.readAt, zone)}
  {:else if entry.agreement === 'CANNOT_HOLD' && entry.read}
    <b>cannot hold what is planned</b>; holds <span class="number">{unit(entry.read)}</span>
  {:else if entry.agreement === 'UNREAD'}
    <span class="text-soft">not read</span>
  {:else if entry.readAt}
    <span class="text-soft">so on {day(entry.readAt, zone)}</span>
  {/if}
{/snippet}

<li
  class="grid min-h-12 grid-cols-[minmax(0,1fr)_auto] items-center gap-x-4 gap-y-1 border-t border-rule py-1 {columns}"
>
  {#if hasMenu}<span class="number text-soft max-md:hidden">{entry.menu ?? ''}</span>{/if}
  <span
    ><span class="number text-soft md:hidden">{entry.menu ? `${entry.menu} ` : ''}</span>{entry.label}</span
  >
  <span class="number text-right text-lg font-bold">{entry.planned === '' ? '–' : unit(entry.planned)}</span>
  <div class="flex flex-wrap items-center gap-2 max-md:col-span-2">
    {#if reading}
      {#if entry.choices.length > 0}
        <select
          class="{FIELD} w-40"
          data-read
          aria-label={label}
          aria-invalid={wrong ? 'true' : undefined}
          value={round.said[entry.place] ?? ''}
          onkeydown={next}
          onchange={(event) => round.say(entry.place, event.currentTarget.value)}
        >
          <option value="">not read</option>
          {#each entry.choices as choice (choice)}<option value={choice}>{choice}</option>{/each}
        </select>
      {:else}
        <input
          class="{FIELD} number w-40"
          data-read
          inputmode={entry.unit ? 'decimal' : 'text'}
          autocomplete="off"
          aria-label={label}
          aria-invalid={wrong ? 'true' : undefined}
          placeholder="not read"
          value={round.said[entry.place] ?? ''}
          onkeydown={next}
          oninput={(event) => round.say(entry.place, event.currentTarget.value)}
        />
      {/if}
      {#if entry.planned !== ''}
        <button
          type="button"
          class="min-h-11 px-2 underline"
          aria-label="same as planned: {label}"
          onclick={() => round.say(entry.place, entry.planned)}>same</button
        >
      {/if}
      {#if wrong}<p class="basis-full text-danger" role="alert">{wrong}</p>{/if}
    {:else}
      <p>{@render standing()}</p>
    {/if}
  </div>
</li>
