<script lang="ts">
  import { shownNumber } from '../lib/along/local';
  import { untrack } from 'svelte';
  import { decimal } from '../lib/sentence/quantity';
  import Action from '../lib/shell/Action.svelte';
  import { FIELD } from '../lib/shell/fieldLook';
  import Said from '../lib/shell/Said.svelte';
  import { Kept } from '../lib/shell/kept';
  import type { PlanEditor } from '../plan/planEditor.svelte';
  import { answered, isAnswered, questionsOf, typedNumber, type Answer, type Question } from './questions';

  /** All that is only guessed on one page, to be asked of makers; what they answer goes into the plan as one revision. */
  let { editor, readonly }: { editor: PlanEditor; readonly: boolean } = $props();

  const plan = $derived(editor.plan);
  const questions = $derived(plan ? questionsOf(plan) : []);
  const kept = $derived(new Kept<Record<string, Answer>>(`questions.${editor.site}`));
  let answers = $state<Record<string, Answer>>(untrack(() => kept.read()) ?? {});
  let taken = $state('');
  const count = $derived(questions.filter((one) => isAnswered(answers[one.path])).length);
  const wrong = $derived(questions.some((one) => numberless(one)));

  const of = (one: Question): Answer => answers[one.path] ?? { value: '', said: '' };
  const numberless = (one: Question) => typedNumber(one, of(one)) === undefined;

  function type(one: Question, what: Partial<Answer>) {
    answers = { ...answers, [one.path]: { ...of(one), ...what } };
    kept.write(answers);
  }

  async function take(event: SubmitEvent) {
    event.preventDefault();
    if (!plan) return;
    const says = `${count} ${count === 1 ? 'answer' : 'answers'} of makers`;
    editor.take(answered(plan, questions, answers), says);
    await editor.save();
    if (editor.dirty) return;
    answers = {};
    kept.clear();
    taken = `${says} saved as revision ${shownNumber(editor.revision?.number ?? 0)}.`;
  }
</script>

<div class="px-4 py-6 md:px-6">
  <p class="text-3xl leading-9 font-bold" role="status">
    {questions.length === 0
      ? 'Nothing here is only guessed.'
      : `${questions.length} ${questions.length === 1 ? 'number is' : 'numbers are'} only guessed.`}
  </p>
  {#if taken}<p class="mt-2">{taken}</p>{/if}
  {#if questions.length > 0}
    <p class="mt-2 max-w-3xl text-soft">
      Ask who makes it. A number that is right needs only who said so; one that is left out stays a guess.
    </p>
    <form onsubmit={take} novalidate>
      <ul class="mt-4">
        {#each questions as one, i (one.path)}
          {@const label = `${one.label} of ${one.part}`}
          {#if one.part !== questions[i - 1]?.part}<li class="pt-4 pb-1 text-lg font-bold">
              {one.part}
            </li>{/if}
          <li
            class="grid min-h-14 items-center gap-x-4 gap-y-1 border-t border-rule py-2 md:grid-cols-[minmax(0,18rem)_9rem_minmax(0,1fr)]"
          >
            <span>{one.label}</span>
            <b class="number text-lg md:text-right">{`${decimal(one.value)} ${one.unit}`.trim()}</b>
            {#if !readonly}
              <div class="flex flex-wrap items-center gap-2">
                <input
                  class="{FIELD} number w-32"
                  inputmode="decimal"
                  autocomplete="off"
                  placeholder={one.unit || 'number'}
                  aria-label="answer: {label}"
                  aria-invalid={numberless(one) ? 'true' : undefined}
                  value={of(one).value}
                  oninput={(event) => type(one, { value: event.currentTarget.value })}
                />
                <input
                  class="{FIELD} min-w-0 grow basis-48"
                  maxlength="300"
                  placeholder="sheet, page, or who said so"
                  aria-label="who said so: {label}"
                  value={of(one).said}
                  oninput={(event) => type(one, { said: event.currentTarget.value })}
                />
                {#if numberless(one)}
                  <p class="basis-full text-danger" role="alert">
                    “{of(one).value}” is not a number{one.unit ? ` in ${one.unit}` : ''}
                  </p>
                {/if}
              </div>
            {/if}
          </li>
        {/each}
      </ul>
      {#if !readonly}
        <div class="no-print mt-4 flex flex-wrap items-center gap-4 border-t border-rule pt-4">
          <Action
            main
            type="submit"
            disabled={count === 0 || wrong || editor.dirty || editor.saving === 'saving'}
            >Save {count} {count === 1 ? 'answer' : 'answers'} as a revision</Action
          >
          <Action onclick={() => window.print()}>Print the questions</Action>
          {#if editor.dirty}
            <p>
              The plan has unsaved changes: <a class="underline" href="#/site/{editor.site}/plan"
                >save or discard them</a
              >
              first.
            </p>
          {/if}
          <Said problem={editor.saveProblem} />
        </div>
      {/if}
    </form>
  {/if}
</div>
