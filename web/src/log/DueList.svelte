<script lang="ts">
  import { capital, day } from '../lib/sentence/quantity';
  import { FIELD } from '../lib/shell/fieldLook';
  import type { Book } from './book.svelte';
  import Icon from '../lib/shell/Icon.svelte';

  /** What is due and when, and how often. */
  interface Props {
    book: Book;
    readonly: boolean;
    words: (kind: string) => string;
    today: string;
  }
  let { book, readonly, words, today }: Props = $props();

  const due = $derived(book.view?.due ?? []);
  const never = $derived(
    book.kinds.filter((one) => one.kind !== 'NOTE' && !due.some((other) => other.kind === one.kind)),
  );
  let asked = $state('');

  function every(kind: string, event: Event & { currentTarget: HTMLInputElement }) {
    const text = event.currentTarget.value.trim();
    const days = text === '' ? undefined : Number(text);
    if (days !== undefined && !Number.isInteger(days)) return;
    void book.interval(kind, days);
  }
</script>

<h2 class="max-xl:mt-6">Due</h2>
<ul class="mt-1">
  {#each due as one (one.kind)}
    <li class="grid grid-cols-[minmax(0,1fr)_auto] items-center gap-x-3 border-t border-rule py-1">
      <div>
        <p class={one.due < today ? 'font-bold' : ''}>
          {#if one.due < today}<Icon sign="caution" />{/if}
          {capital(words(one.kind))}
        </p>
        <p class="number text-sm text-soft">
          {day(one.due)}{one.due < today ? ', overdue' : ''}; {one.last
            ? `last ${day(one.last)}`
            : 'never yet'}
        </p>
      </div>
      <label class="flex items-center gap-1 text-sm text-soft"
        >every
        {#if readonly}<span class="number">{one.everyDays}</span>
        {:else}<input
            class="{FIELD} number w-20 text-right"
            inputmode="numeric"
            aria-label="days between two times: {words(one.kind)}"
            value={one.everyDays}
            onchange={(event) => every(one.kind, event)}
          />{/if}
        d
      </label>
      {#if !readonly && book.draft.kind !== one.kind}
        <button
          type="button"
          class="col-span-2 min-h-11 justify-self-start text-sm underline"
          onclick={() => book.begin(one.kind)}>write it down: {words(one.kind)}</button
        >
      {/if}
    </li>
  {/each}
</ul>
{#if !readonly && never.length > 0}
  <p class="flex flex-wrap items-center gap-2 border-t border-rule py-2">
    <select class={FIELD} aria-label="what else is to be due" bind:value={asked}>
      <option value="">what else is to be due…</option>
      {#each never as one (one.kind)}<option value={one.kind}>{one.words}</option>{/each}
    </select>
    {#if asked}<button
        type="button"
        class="min-h-11 underline"
        onclick={() => {
          void book.interval(asked, 182);
          asked = '';
        }}>every 182 d</button
      >{/if}
  </p>
{/if}
<p class="text-sm text-soft">
  How often is common practice, no source, where nobody has said otherwise; 0 stands for never, nothing for as
  usual.
</p>
