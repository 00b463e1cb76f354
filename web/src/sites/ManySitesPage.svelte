<script lang="ts">
  import { onMount } from 'svelte';
  import type { SiteProposal } from '../lib/api/api';
  import { api, outcome, type Problem } from '../lib/api/client';
  import { typed } from '../lib/sentence/quantity';
  import Action from '../lib/shell/Action.svelte';
  import { FIELD } from '../lib/shell/fieldLook';
  import Frame from '../lib/shell/Frame.svelte';
  import Trouble from '../lib/shell/Trouble.svelte';
  import ChooseSites from './ChooseSites.svelte';
  import ProposedAtSite from './ProposedAtSite.svelte';
  import { SiteList } from './siteList.svelte';

  /** The same levels for many sites, seen at each of them before anything is saved. */
  const TERMS = ['LVD', 'LVR', 'warning', 'warning clears', 'absorption', 'float', 'recharge'];

  const list = new SiteList(200);
  let chosen = $state<string[]>([]);
  let entered = $state<Record<string, string>>({});
  let problem = $state<Problem>();
  let proposals = $state.raw<SiteProposal[]>();
  let saved = $state<Record<string, string>>({});

  const read = (term: string) => {
    const text = entered[term]?.trim() ?? '';
    return text === '' ? undefined : (typed(text, 'V') ?? NaN);
  };
  const bad = $derived(TERMS.filter((term) => Number.isNaN(read(term))));
  const levels = $derived(
    TERMS.flatMap((term) => {
      const volts = read(term);
      return volts === undefined || Number.isNaN(volts) ? [] : [{ term, volts }];
    }),
  );
  /** What was looked at, in words: the levels may be typed over before it is saved. */
  let said = '';

  /** So many sites a question: each is answered soon, and what was answered is seen while others still are asked. */
  const BATCH = 20;
  /** How far the work at hand is; none where nothing is under way. */
  let under = $state<{ says: string; done: number; of: number; stop: boolean }>();
  const savable = $derived(
    (proposals ?? []).filter((one) => one.plan && one.changes.length > 0 && !saved[one.site]),
  );

  /** Does something for all of many, part by part, until it is done, is told to stop or fails. */
  async function inParts<T>(says: string, all: T[], size: number, act: (part: T[]) => Promise<boolean>) {
    under = { says, done: 0, of: all.length, stop: false };
    for (let at = 0; at < all.length && !under.stop; at += size) {
      if (!(await act(all.slice(at, at + size)))) break;
      under.done = Math.min(all.length, at + size);
    }
    under = undefined;
  }

  async function propose(event: SubmitEvent) {
    event.preventDefault();
    proposals = [];
    saved = {};
    problem = undefined;
    const wanted = levels;
    said = wanted.map((one) => `${one.term} ${one.volts} V`).join(', ');
    await inParts('Looking at', [...chosen], BATCH, async (sites) => {
      const answer = await outcome(api.POST('/api/proposals', { body: { sites, levels: wanted } }));
      problem = answer.problem;
      proposals = [...(proposals ?? []), ...(answer.data ?? [])];
      return answer.data !== undefined;
    });
  }

  async function save(one: SiteProposal) {
    if (!one.plan) return;
    const answer = await outcome(
      api.POST('/api/sites/{siteId}/revisions', {
        params: { path: { siteId: one.site } },
        body: { parent: one.parent, note: `For many sites, as 12 V: ${said}`, plan: one.plan },
      }),
    );
    saved[one.site] = answer.data
      ? `saved as revision ${answer.data.revision.number}`
      : `not saved: ${answer.problem?.detail}`;
  }

  const saveAll = () =>
    inParts('Saving at', savable, 1, async (part) => {
      for (const one of part) await save(one);
      // One that is refused keeps none of the others from being saved.
      return true;
    });

  onMount(() => list.load());
</script>

<Frame title="The same change for many sites" place="sites">
  {#if problem}<Trouble {problem} />{/if}
  {#if list.problem}<Trouble problem={list.problem} retry={() => list.load()} />{/if}
  <form class="grid max-w-4xl gap-4 px-4 py-4 md:px-6" onsubmit={propose}>
    <p class="text-soft">
      Give levels as for a 12 V battery; each site gets them scaled to its own cells, and is checked with its
      own loads, ratings and limits. Nothing is saved before you say so.
    </p>
    <fieldset class="grid grid-cols-1 gap-x-6 gap-y-1 sm:grid-cols-2 lg:grid-cols-3">
      <legend class="mb-1 font-bold">Levels of a 12 V battery</legend>
      {#each TERMS as term (term)}
        <label class="grid grid-cols-[8rem_7rem_1fr] items-center gap-2"
          >{term}
          <input
            class="{FIELD} number"
            inputmode="decimal"
            aria-label="{term} of a 12 V battery in V"
            aria-invalid={Number.isNaN(read(term)) ? 'true' : undefined}
            bind:value={entered[term]}
          />
          <span class="text-soft">V</span></label
        >
      {/each}
    </fieldset>
    <ChooseSites {list} bind:chosen />
    <div class="flex items-center gap-4">
      <Action
        main
        type="submit"
        disabled={under !== undefined || bad.length > 0 || levels.length === 0 || chosen.length === 0}
        >See what it does</Action
      >
      {#if bad.length > 0}<p class="text-danger" role="alert">
          {bad.map((term) => `${term}: “${entered[term]}” is not a number in V`).join('; ')}
        </p>{/if}
    </div>
  </form>
  <div class="flex min-h-11 flex-wrap items-center gap-4 px-4 pb-4 md:px-6" aria-live="polite">
    {#if under}
      <p>{under.says} {under.done} of {under.of} sites</p>
      <progress class="h-3 w-56" aria-label="{under.says} the sites" value={under.done} max={under.of}
      ></progress>
      <Action disabled={under.stop} onclick={() => under && (under.stop = true)}>Stop</Action>
    {:else if savable.length > 1}
      <Action onclick={saveAll}>Save at all {savable.length}</Action>
    {/if}
  </div>
  {#each proposals ?? [] as one (one.site)}
    <ProposedAtSite proposal={one} saved={saved[one.site]} save={() => save(one)} />
  {/each}
</Frame>
