<script lang="ts">
  import type { Plan } from '../lib/api/api';
  import { capital } from '../lib/sentence/quantity';
  import Action from '../lib/shell/Action.svelte';
  import { FIELD } from '../lib/shell/fieldLook';
  import Said from '../lib/shell/Said.svelte';
  import type { Book } from './book.svelte';

  /** Something to be written into the log: its kind first, then the numbers that belong to it. */
  let { book, plan }: { book: Book; plan: Plan | undefined } = $props();

  const kind = $derived(book.kind);
  const parts = $derived.by(() => {
    if (!plan || !kind) return [];
    if (kind.about === 'SENSE_POINT') return plan.site.sensePoints;
    if (kind.about === 'OUTPUT') return plan.program.outputs;
    if (kind.about === 'GENERATOR') return plan.site.acSources.filter((one) => one.kind === 'generator');
    return [];
  });
  const ABOUT = { SENSE_POINT: 'sense point', OUTPUT: 'output', GENERATOR: 'generator', NOTHING: '' };

  $effect(() => {
    const first = parts[0]?.id ?? '';
    if (kind && kind.about !== 'NOTHING' && !parts.some((one) => one.id === book.draft.part))
      book.draft.part = first;
  });
</script>

<form
  class="grid grid-cols-[minmax(0,1fr)] gap-3"
  novalidate
  onsubmit={(event) => {
    event.preventDefault();
    void book.keep();
  }}
>
  <div class="flex flex-wrap items-end gap-3">
    <label class="grid gap-1 text-sm text-soft"
      >what was done
      <select
        class="{FIELD} w-64"
        value={book.draft.kind}
        onchange={(event) => book.begin(event.currentTarget.value)}
      >
        {#each book.kinds as one (one.kind)}<option value={one.kind}>{capital(one.words)}</option>{/each}
      </select>
    </label>
    {#if parts.length > 0 && kind}
      <label class="grid gap-1 text-sm text-soft"
        >{ABOUT[kind.about]}
        <select
          class={FIELD}
          value={book.draft.part}
          onchange={(event) => book.write({ part: event.currentTarget.value })}
        >
          {#each parts as one (one.id)}<option value={one.id}>{one.name}</option>{/each}
        </select>
      </label>
    {/if}
    {#each kind?.numbers ?? [] as one (one.name)}
      <label class="grid gap-1 text-sm text-soft"
        >{one.label}, {one.unit}{one.isOptional ? ' (may be left out)' : ''}
        <input
          class="{FIELD} number w-32"
          inputmode="decimal"
          autocomplete="off"
          value={book.draft.numbers[one.name] ?? ''}
          oninput={(event) =>
            book.write({ numbers: { ...book.draft.numbers, [one.name]: event.currentTarget.value } })}
        />
      </label>
    {/each}
  </div>
  {#if kind?.cellUnit}
    <label class="grid gap-1 text-sm text-soft"
      >cell by cell, {kind.cellUnit}, blanks between them
      <textarea
        class="{FIELD} number w-full py-2"
        rows="2"
        inputmode="decimal"
        value={book.draft.cells}
        oninput={(event) => book.write({ cells: event.currentTarget.value })}></textarea>
    </label>
  {/if}
  <label class="grid gap-1 text-sm text-soft"
    >note
    <textarea
      class="{FIELD} w-full py-2"
      rows="2"
      maxlength="2000"
      value={book.draft.note}
      oninput={(event) => book.write({ note: event.currentTarget.value })}></textarea>
  </label>
  <div class="flex flex-wrap items-center gap-3">
    <Action main type="submit" disabled={book.busy || !kind}>Write it down</Action>
    {#if book.begun}<span class="text-sm text-soft">not written down yet; it is kept here until it is</span
      >{/if}
    <Said problem={book.refused} />
  </div>
</form>
