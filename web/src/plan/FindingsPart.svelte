<script lang="ts">
  import { untrack } from 'svelte';
  import type { Finding, Plan } from '../lib/api/api';
  import { seasonOf } from '../season/season.svelte';
  import { partName } from '../lib/shell/parts';
  import Dismiss from './Dismiss.svelte';
  import FindingLine from './FindingLine.svelte';
  import { HAZARDS } from './hazards';
  import type { PlanEditor } from './planEditor.svelte';

  /** What is wrong, by what it can lead to; each with its reason, its cure, and the way to leave it as it is. */
  interface Props {
    editor: PlanEditor;
    plan: Plan;
    readonly: boolean;
    /** What only the simulated days of the plan show. */
    ofRun: Finding[];
    go: (finding: Finding) => void;
  }
  let { editor, plan, readonly, ofRun, go }: Props = $props();

  const FEW_BUCKETS = 100;
  const season = $derived(seasonOf(editor.site));

  // Who comes here first has no run yet.
  $effect(() => {
    const now = plan;
    untrack(() => void season.run(now, FEW_BUCKETS));
  });

  const all = $derived(editor.reading?.findings ?? []);
  const open = $derived(all.filter((one) => one.dismissed === undefined));
  const left = $derived(all.filter((one) => one.dismissed !== undefined));
  const groups = $derived(
    (Object.keys(HAZARDS) as Finding['hazard'][])
      .map((hazard) => ({ hazard, findings: open.filter((one) => one.hazard === hazard) }))
      .filter((group) => group.findings.length > 0),
  );
  /** How many of each severity, the gravest first, those left out that there are none of. */
  const counts = $derived(
    (
      [
        ['DANGER', 'danger', 'dangers'],
        ['CAUTION', 'caution', 'cautions'],
        ['NOTE', 'note', 'notes'],
      ] as const
    )
      .map(([severity, one, many]) => {
        const count = [...open, ...ofRun].filter((finding) => finding.severity === severity).length;
        return count === 0 ? '' : `${count} ${count === 1 ? one : many}`;
      })
      .filter(Boolean)
      .join(', '),
  );
  const key = (one: Finding) => `${one.check} ${one.at} ${one.path}`;
</script>

<section class="max-w-5xl px-4 py-4 md:px-6" aria-labelledby="findings">
  <h2 id="findings">Findings</h2>
  {#if !editor.reading}
    <p role="status" class="mt-2 text-soft">Looking through the plan</p>
  {:else}
    <p class="mt-1" role="status">
      {#if open.length + ofRun.length === 0}
        Nothing is found wrong with this plan by itself. That is no proof of safety: what only a bench shows
        stands on the bench.
      {:else}
        {counts}.
      {/if}
    </p>
  {/if}
  {#each groups as group (group.hazard)}
    <section class="mt-6" aria-labelledby="hazard-{group.hazard}">
      <h3 id="hazard-{group.hazard}" class="first-letter:uppercase">
        {HAZARDS[group.hazard]} <span class="number font-normal text-soft">{group.findings.length}</span>
      </h3>
      {#each group.findings as finding, i (key(finding) + i)}
        <FindingLine
          {finding}
          at={editor.plan && partName(editor.plan, finding.at)}
          editor={readonly ? undefined : editor}
          go={() => go(finding)}
        >
          {#if finding.check === 'BeyondTheDevice'}
            <a
              class="flex min-h-11 items-center text-sm underline"
              href="#/site/{editor.site}/season/tape?as-written">What that does, both on the tape</a
            >
          {/if}
          {#if !readonly}<Dismiss {editor} {finding} />{/if}
        </FindingLine>
      {/each}
    </section>
  {/each}
  {#if ofRun.length > 0}
    <section class="mt-6" aria-labelledby="of-run">
      <h3 id="of-run">
        Shown by the simulated run <span class="number font-normal text-soft">{ofRun.length}</span>
      </h3>
      <p class="text-soft">Of {season.asked.says()}.</p>
      {#each ofRun as finding, i (key(finding) + i)}
        <FindingLine {finding} at={partName(plan, finding.at)} go={() => go(finding)} />
      {/each}
    </section>
  {/if}
  {#if left.length > 0}
    <section class="mt-8 border-t border-rule pt-4" aria-labelledby="left">
      <h3 id="left">Accepted</h3>
      <p class="text-soft">
        Each holds for the numbers it was accepted at; when they change it is open again.
      </p>
      {#each left as finding, i (key(finding) + i)}
        <FindingLine {finding} at={editor.plan && partName(editor.plan, finding.at)} go={() => go(finding)}>
          <p class="w-full font-bold">Accepted because: {finding.dismissed}</p>
          {#if !readonly}<Dismiss {editor} {finding} />{/if}
        </FindingLine>
      {/each}
    </section>
  {/if}
</section>
