<script lang="ts">
  import { gate } from '../lib/along/gate.svelte';
  import { capital, day } from '../lib/sentence/quantity';
  import Action from '../lib/shell/Action.svelte';
  import Trouble from '../lib/shell/Trouble.svelte';
  import type { PlanEditor } from '../plan/planEditor.svelte';
  import { Book } from './book.svelte';
  import CalendarFeeds from './CalendarFeeds.svelte';
  import DueList from './DueList.svelte';
  import EntryForm from './EntryForm.svelte';
  import EntryRow from './EntryRow.svelte';

  /** What is due, what was measured and done, and a form to write down more. */
  let { editor, readonly, zone }: { editor: PlanEditor; readonly: boolean; zone: string } = $props();

  const book = $derived(new Book(editor.site));
  const due = $derived(book.view?.due ?? []);
  const today = new Date().toISOString().slice(0, 10);
  const late = $derived(due.filter((one) => one.due < today));
  const words = (kind: string) => book.kinds.find((one) => one.kind === kind)?.words ?? kind;

  $effect(() => {
    void gate.sent;
    void book.load();
  });
</script>

{#if book.problem}<Trouble problem={book.problem} retry={() => book.load()} />{/if}
{#if !book.view}
  {#if !book.problem}<p class="p-6 text-soft" role="status">Reading the log</p>{/if}
{:else}
  <p class="px-4 pt-6 pb-3 text-3xl leading-9 font-bold md:px-6" role="status">
    {late.length > 0
      ? `${capital(
          late
            .map((one) => words(one.kind))
            .slice(0, 3)
            .join(', '),
        )}${late.length > 3 ? ` and ${late.length - 3} more` : ''}: overdue.`
      : due[0]
        ? `Nothing is overdue; next on ${day(due[0].due)}: ${words(due[0].kind)}.`
        : 'Nothing is due here.'}
  </p>
  <div class="grid grid-cols-[minmax(0,1fr)] gap-x-8 px-4 md:px-6 xl:grid-cols-[minmax(0,1fr)_26rem]">
    <div>
      {#if !readonly}<EntryForm {book} plan={editor.plan} />{/if}
      <h2 class="mt-6">Written down</h2>
      {#if book.view.entries.length === 0}<p class="py-2 text-soft">Nothing was written down yet.</p>{/if}
      <ol>
        {#each book.view.entries as entry (entry.entry.id)}
          <EntryRow {book} {entry} {editor} {readonly} {zone} words={words(entry.entry.kind)} />
        {/each}
      </ol>
      {#if book.view.more}<Action onclick={() => book.older()}>Older ones</Action>{/if}
    </div>
    <div>
      <DueList {book} {readonly} {words} {today} />
      <CalendarFeeds site={editor.site} />
    </div>
  </div>
{/if}
