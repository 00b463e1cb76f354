<script lang="ts">
  import { untrack } from 'svelte';
  import { api, outcome, type Problem } from '../lib/api/client';
  import type { DailyFigure, DailyReplay, Plan } from '../lib/api/api';
  import { bytes, Looked } from '../lib/file/fileLook.svelte';
  import FileMapping from '../lib/file/FileMapping.svelte';
  import Said from '../lib/shell/Said.svelte';
  import { Kept } from '../lib/shell/kept';
  import Trouble from '../lib/shell/Trouble.svelte';
  import type { TypedDay } from './daily';
  import DailyHead from './DailyHead.svelte';
  import DailyTable from './DailyTable.svelte';
  import DailyTyping from './DailyTyping.svelte';

  /** Days as a device keeps them in its history: typed, pasted or brought as a file. */
  interface Props {
    site: string;
    plan: Plan;
    readonly: boolean;
    zone: string;
  }
  let { site, plan, readonly, zone }: Props = $props();

  let days = $state.raw<DailyFigure[]>();
  let reached = $state.raw<DailyReplay[]>([]);
  let problem = $state.raw<Problem>();
  let refused = $state.raw<Problem>();
  const kept = $derived(new Kept<TypedDay[]>(`daily.${site}`));
  let typed = $state<TypedDay[]>(untrack(() => kept.read()) ?? []);
  const path = $derived({ siteId: site });
  const looked = $derived(new Looked(site, 'DAILY', zone));
  const today = new Date().toISOString().slice(0, 10);

  function put(next: TypedDay[]) {
    typed = next;
    kept.write(next);
  }

  async function load() {
    const [all, levels] = await Promise.all([
      outcome(api.GET('/api/sites/{siteId}/daily', { params: { path } })),
      outcome(api.GET('/api/reading/{siteId}/daily-replay', { params: { path } })),
    ]);
    problem = all.problem ?? levels.problem;
    days = all.data ?? days;
    reached = levels.data ?? reached;
  }

  async function remove(one: DailyFigure) {
    const answer = await outcome(
      api.DELETE('/api/sites/{siteId}/daily/{day}', { params: { path: { ...path, day: one.day } } }),
    );
    refused = answer.problem;
    if (!answer.data) return;
    // Taken away it can be typed again: its numbers stand ready.
    const text = (value: number | undefined) => (value === undefined ? '' : String(value));
    put([
      ...typed,
      {
        day: one.day,
        lowest: text(one.lowestVolts),
        highest: text(one.highestVolts),
        in: text(one.inWattHours),
        out: text(one.outWattHours),
      },
    ]);
    await load();
  }

  async function take(file: File, layout: string | undefined): Promise<Problem | undefined> {
    const answer = await outcome(
      api.POST('/api/sites/{siteId}/daily', { params: { path, query: { zone, layout } }, ...bytes(file) }),
    );
    if (answer.data) await load();
    return answer.problem;
  }

  async function paste(event: ClipboardEvent & { currentTarget: HTMLTextAreaElement }) {
    const text = event.clipboardData?.getData('text/plain') ?? '';
    event.preventDefault();
    if (text.trim() !== '') await looked.choose(new File([text], 'what was pasted'));
  }

  $effect(() => {
    void load();
  });
</script>

<div class="px-4 py-6 md:px-6">
  {#if problem}<Trouble {problem} retry={load} />{/if}
  <DailyHead {days} {reached} {plan} {today} />
  {#if !readonly}
    <DailyTyping {site} {days} {typed} {put} {today} saved={load} />
    <div class="mt-2 flex flex-wrap items-center gap-x-6">
      <label class="flex items-center gap-2 text-sm text-soft"
        >or paste a table
        <textarea
          class="min-h-11 w-40 border border-rule-strong bg-raised px-2 py-2"
          rows="1"
          aria-label="paste a table of days here"
          onpaste={paste}></textarea></label
      >
    </div>
    <FileMapping {looked} {take} says="Bring a file of daily figures" />
  {/if}
  {#if days && days.length > 0}
    <Said problem={refused} />
    <DailyTable {days} remove={readonly ? undefined : remove} />
  {/if}
</div>
