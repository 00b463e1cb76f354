<script lang="ts">
  import type { Problem } from '../lib/api/client';
  import { ask } from '../lib/engine/engine';
  import { pegsOf } from '../lib/gauge/pegs';
  import { fixed, typed } from '../lib/sentence/quantity';
  import Action from '../lib/shell/Action.svelte';
  import { FIELD } from '../lib/shell/fieldLook';
  import Trouble from '../lib/shell/Trouble.svelte';
  import type { PlanEditor } from './planEditor.svelte';

  /** Levels known as those of a 12 V battery, set at this bank in one step. */
  let { editor, close }: { editor: PlanEditor; close: () => void } = $props();

  const gauge = $derived(editor.reading?.gauge);
  const cells = $derived(gauge?.cellsInSeries ?? 6);
  const of12 = $derived(gauge?.cellsOf12Volts ?? 6);
  const pegs = $derived(editor.plan ? pegsOf(gauge, editor.plan).pegs : []);
  const terms = $derived([...new Set(pegs.map((peg) => peg.term))]);
  let entered = $state<Record<string, string>>({});
  let problem = $state<Problem>();

  const now = (term: string) =>
    pegs
      .filter((peg) => peg.term === term)
      .map((peg) => fixed((peg.value / cells) * of12, 2))
      .join(', ');
  const read = (term: string) => {
    const text = entered[term]?.trim() ?? '';
    return text === '' ? undefined : (typed(text, 'V') ?? NaN);
  };
  const bad = $derived(terms.filter((term) => Number.isNaN(read(term))));
  const wanted = $derived(
    terms.flatMap((term) => {
      const volts = read(term);
      return volts === undefined || Number.isNaN(volts) ? [] : [{ term, volts }];
    }),
  );

  async function apply(event: SubmitEvent) {
    event.preventDefault();
    if (!editor.plan || bad.length > 0 || wanted.length === 0) return;
    const { data, problem: refused } = await ask('/api/scaled/{siteId}', editor.site, {
      plan: editor.plan,
      levels: wanted,
    });
    problem = refused;
    if (!data) return;
    editor.take(
      data.plan,
      `scaled from 12 V: ${wanted.map((one) => `${one.term} ${one.volts} V`).join(', ')}`,
    );
    close();
  }
</script>

<form class="mt-3 max-w-2xl border-l-4 border-ink bg-raised p-3" onsubmit={apply} aria-labelledby="scale">
  <h3 id="scale">Scale from 12 V numbers</h3>
  <p class="text-soft">
    A number for a 12 V battery ({of12} cells) times {cells}/{of12} is the one for this bank. What is left empty
    stays.
  </p>
  <div class="mt-2 grid grid-cols-[minmax(7rem,auto)_8rem_1fr] items-center gap-x-4 gap-y-1">
    {#each terms as term (term)}
      {@const volts = read(term)}
      <label class="contents"
        ><span>{term}</span><input
          class="{FIELD} number"
          inputmode="decimal"
          placeholder={now(term)}
          aria-label="{term} of a 12 V battery in V"
          aria-invalid={Number.isNaN(volts) ? 'true' : undefined}
          bind:value={entered[term]}
        /></label
      >
      <span class="number {Number.isNaN(volts) ? 'text-danger' : 'text-soft'}" role="status"
        >{#if Number.isNaN(volts)}“{entered[term]}” is not a number in V{:else if volts !== undefined}→
          {fixed((volts * cells) / of12, 2)} V{/if}</span
      >
    {/each}
  </div>
  {#if problem}<Trouble {problem} />{/if}
  <div class="mt-3 flex gap-2">
    <Action main type="submit" disabled={bad.length > 0 || wanted.length === 0}>Set them</Action>
    <Action onclick={close}>Cancel</Action>
  </div>
</form>
