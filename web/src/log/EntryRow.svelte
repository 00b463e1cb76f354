<script lang="ts">
  import type { EntryKept } from '../lib/api/api';
  import { believable, capital, minute } from '../lib/sentence/quantity';
  import FileChoice from '../lib/shell/FileChoice.svelte';
  import { partName } from '../lib/shell/parts';
  import type { PlanEditor } from '../plan/planEditor.svelte';
  import type { Book } from './book.svelte';
  import Icon from '../lib/shell/Icon.svelte';

  /** An entry of the log: its numbers, what they say, and what can be done with it. */
  interface Props {
    book: Book;
    entry: EntryKept;
    editor: PlanEditor;
    readonly: boolean;
    zone: string;
    words: string;
  }
  let { book, entry, editor, readonly, zone, words }: Props = $props();

  const of = $derived(entry.entry);
  const kind = $derived(book.kinds.find((one) => one.kind === of.kind));
  const numbers = $derived(
    (kind?.numbers ?? [])
      .filter((one) => of.numbers[one.name] !== undefined)
      .map((one) => `${one.label} ${believable(of.numbers[one.name] ?? 0)} ${one.unit}`),
  );
  const subject = $derived(
    of.part && editor.plan
      ? (editor.plan.site.sensePoints.find((one) => one.id === of.part)?.name ??
          partName(editor.plan, of.part))
      : '',
  );
  let unreadable = $state('');

  async function take() {
    if (!editor.plan) return;
    const plan = await book.calibrated(editor.plan, entry);
    if (!plan) return;
    editor.take(plan, `${subject} as measured against a meter`);
    location.hash = `#/site/${editor.site}/plan`;
  }

  async function photo(event: Event & { currentTarget: HTMLInputElement }) {
    const [file] = event.currentTarget.files ?? [];
    event.currentTarget.value = '';
    if (!file) return;
    unreadable = '';
    try {
      await book.photo(entry, file);
    } catch {
      unreadable = `${file.name} is no photo that can be read here: JPEG and PNG are taken.`;
    }
  }
</script>

<li class="border-t border-rule py-2 {entry.withdrawn ? 'text-soft' : ''}">
  <p class="flex flex-wrap gap-x-3">
    <b class={entry.withdrawn ? 'line-through' : ''}>{capital(words)}{subject ? `, ${subject}` : ''}</b>
    <span class="text-soft">{minute(Date.parse(of.at), zone)}, {entry.madeBy}</span>
    {#if entry.withdrawn}<span>withdrawn</span>{/if}
  </p>
  {#if numbers.length > 0}<p class="number">{numbers.join(' · ')}</p>{/if}
  {#if of.cells.length > 0}<p class="number text-sm whitespace-normal">
      {of.cells.map(believable).join('  ')}
    </p>{/if}
  {#if entry.says.says}<p>
      {#if entry.says.isCaution}<Icon sign="caution" />{/if}
      {entry.says.says}
    </p>{/if}
  {#if of.note}<p class="max-w-3xl whitespace-pre-line">{of.note}</p>{/if}
  {#if entry.photos.length > 0}
    <ul class="flex flex-wrap gap-2 py-1">
      {#each entry.photos as one, i (one)}
        {@const address = `/api/sites/${editor.site}/log-photos/${one}`}
        <li>
          <a href={address} target="_blank" rel="noopener"
            ><img
              class="h-20 w-28 object-cover"
              loading="lazy"
              src={address}
              alt="photo {i + 1} of {entry.photos.length}: {words}"
            /></a
          >
        </li>
      {/each}
    </ul>
  {/if}
  {#if !readonly}
    <p class="no-print flex flex-wrap items-center gap-x-5 text-sm">
      {#if entry.offsetVolts && !entry.withdrawn}
        <button type="button" class="min-h-11 underline" onclick={take}>take the offset into the plan</button>
      {/if}
      {#if !entry.withdrawn}<FileChoice says="add a photo" accept="image/jpeg,image/png" take={photo} />{/if}
      <button
        type="button"
        class="min-h-11 underline"
        aria-label="{entry.withdrawn ? 'put back' : 'withdraw'}: {words}"
        onclick={() => book.withdraw(entry, !entry.withdrawn)}
        >{entry.withdrawn ? 'put back' : 'withdraw'}</button
      >
      {#if unreadable}<span class="text-danger" role="alert">{unreadable}</span>{/if}
    </p>
  {/if}
</li>
