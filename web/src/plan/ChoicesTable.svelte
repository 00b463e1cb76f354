<script lang="ts">
  import type { MenuChoice } from '../lib/api/api';
  import { FIELD } from '../lib/shell/fieldLook';
  import { choiceTold } from './deviceSheet';
  import NumberMap from './system/NumberMap.svelte';

  /** What can be chosen at an entry: what the device shows, what that means, and what it forces elsewhere. */
  interface Props {
    of: string;
    choices: MenuChoice[];
    /** What of the plan can be meant; none where anything can. */
    words: string[];
    readonly: boolean;
    change: (next: MenuChoice[]) => void;
  }
  let { of, choices, words, readonly, change }: Props = $props();

  const put = (at: number, next: Partial<MenuChoice>) =>
    change(choices.map((one, i) => (i === at ? { ...one, ...next } : one)));
  /** What none of the choices means yet. */
  const unmeant = $derived(
    [...words, ...(words.length > 0 ? ['absent'] : [])].find(
      (word) => !choices.some((one) => one.is === word),
    ),
  );

  function add() {
    let number = choices.length + 1;
    while (choices.some((one) => one.enter === String(number))) number++;
    change([...choices, { enter: String(number), is: unmeant ?? 'what it means', forces: {} }]);
  }
</script>

<table class="w-full text-left">
  <thead class="text-sm text-soft">
    <tr>
      <th class="py-1 pr-3 font-normal">shows</th>
      <th class="py-1 pr-3 font-normal">means</th>
      <th class="py-1 pr-3 font-normal">makes, whatever is entered there</th>
      <th></th>
    </tr>
  </thead>
  <tbody>
    {#each choices as choice, i (i)}
      <tr class="align-top">
        <td class="py-0.5 pr-3"
          ><input
            class="{FIELD} w-28"
            {readonly}
            maxlength="120"
            aria-label="Choice {i + 1} of {of} shows"
            value={choice.enter}
            onchange={(event) => put(i, { enter: event.currentTarget.value })}
          /></td
        >
        <td class="py-0.5 pr-3">
          {#if words.length > 0}
            <select
              class={FIELD}
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
              class="{FIELD} w-56"
              {readonly}
              maxlength="120"
              aria-label="Choice {i + 1} of {of} means"
              value={choice.is}
              onchange={(event) => put(i, { is: event.currentTarget.value })}
            />
          {/if}
        </td>
        <td class="py-0.5 pr-3"
          ><NumberMap
            label="choice {i + 1} of {of}"
            value={choice.forces}
            names="settables"
            {readonly}
            change={(forces) => put(i, { forces })}
          /></td
        >
        <td class="py-0.5"
          >{#if !readonly}<button
              class="min-h-11 text-sm underline"
              aria-label="Take choice {i + 1} of {of} away"
              onclick={() => change(choices.filter((_, other) => other !== i))}>take away</button
            >{/if}</td
        >
      </tr>
    {/each}
  </tbody>
</table>
{#if !readonly}<button class="min-h-11 underline underline-offset-4" onclick={add}>one more choice…</button
  >{/if}
