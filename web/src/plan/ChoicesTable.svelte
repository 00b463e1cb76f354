<script lang="ts">
  import type { MenuChoice, Settable, WordKnob } from '../lib/api/api';
  import { FIELD } from '../lib/shell/fieldLook';
  import { choiceTold } from './deviceSheet';
  import { toggled } from './knobs';
  import ChosenMap from './ChosenMap.svelte';
  import NumberMap from './system/NumberMap.svelte';

  /** What can be chosen at an entry: what the device shows, what that means, and what it forces elsewhere. */
  interface Props {
    of: string;
    choices: MenuChoice[];
    /** What of the plan is chosen by it; none where anything can be meant. */
    means: Settable | undefined;
    /** Entries of the same device whose choice it may make what it is. */
    others: WordKnob[];
    readonly: boolean;
    change: (next: MenuChoice[]) => void;
  }
  let { of, choices, means, others, readonly, change }: Props = $props();

  const put = (at: number, next: Partial<MenuChoice>) =>
    change(choices.map((one, i) => (i === at ? { ...one, ...next } : one)));
  /** What none of the choices means yet. */
  const words = $derived(means?.words ?? []);
  const unmeant = $derived(
    [...words, ...(words.length > 0 ? ['absent'] : [])].find(
      (word) => !choices.some((one) => one.is === word),
    ),
  );

  function add() {
    let number = choices.length + 1;
    while (choices.some((one) => one.enter === String(number))) number++;
    change([...choices, { enter: String(number), is: unmeant ?? 'what it means', forces: {}, chooses: {} }]);
  }
</script>

<p
  class="grid grid-cols-[7rem_14rem_1fr_auto] gap-x-3 py-1 text-sm text-soft max-sm:hidden"
  aria-hidden="true"
>
  <span>shows</span><span>means</span><span>makes, whatever is entered there</span>
</p>
<ol>
  {#each choices as choice, i (i)}
    <li
      class="grid grid-cols-[7rem_14rem_1fr_auto] items-start gap-x-3 gap-y-1 py-0.5 max-sm:grid-cols-2 max-sm:border-t max-sm:border-rule"
    >
      <div class="min-w-0">
        <input
          class="{FIELD} w-full"
          {readonly}
          maxlength="120"
          aria-label="Choice {i + 1} of {of} shows"
          value={choice.enter}
          onchange={(event) => put(i, { enter: event.currentTarget.value })}
        />
      </div>
      <div class="min-w-0">
        {#if means?.several}
          <div class="flex flex-wrap" role="group" aria-label="Choice {i + 1} of {of} means">
            {#each words as word (word)}
              <button
                class="min-h-11 min-w-8 grow border border-rule text-sm max-sm:min-w-11 {choice.is
                  .split(' ')
                  .includes(word)
                  ? 'bg-ink text-paper'
                  : ''}"
                disabled={readonly}
                aria-label={choiceTold(word)}
                aria-pressed={choice.is.split(' ').includes(word)}
                onclick={() => put(i, { is: toggled(choice.is, word, words) })}
                >{choiceTold(word).slice(0, 2)}</button
              >
            {/each}
          </div>
        {:else if words.length > 0}
          <select
            class="{FIELD} w-full"
            disabled={readonly}
            aria-label="Choice {i + 1} of {of} means"
            value={choice.is}
            onchange={(event) => put(i, { is: event.currentTarget.value })}
          >
            {#each [...new Set([...words, 'absent', choice.is])] as word (word)}
              <option value={word}>{choiceTold(word)}</option>
            {/each}
          </select>
        {:else}
          <input
            class="{FIELD} w-full"
            {readonly}
            maxlength="120"
            aria-label="Choice {i + 1} of {of} means"
            value={choice.is}
            onchange={(event) => put(i, { is: event.currentTarget.value })}
          />
        {/if}
      </div>
      <div class="min-w-0">
        <NumberMap
          label="choice {i + 1} of {of}"
          value={choice.forces}
          names="settables"
          {readonly}
          change={(forces) => put(i, { forces })}
        />
        {#if others.length > 0}
          <ChosenMap
            label="choice {i + 1} of {of}"
            value={choice.chooses}
            {others}
            {readonly}
            change={(chooses) => put(i, { chooses })}
          />
        {/if}
      </div>
      <div class="min-w-0">
        {#if !readonly}<button
            class="min-h-11 text-sm underline"
            aria-label="Take choice {i + 1} of {of} away"
            onclick={() => change(choices.filter((_, other) => other !== i))}>take away</button
          >{/if}
      </div>
    </li>
  {/each}
</ol>
{#if !readonly}<button class="min-h-11 underline underline-offset-4" onclick={add}>one more choice…</button
  >{/if}
