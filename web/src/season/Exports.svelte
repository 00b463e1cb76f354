<script lang="ts">
  import type { Plan } from '../lib/api/api';
  import { isRunHere } from '../lib/along/local';
  import { FIELD } from '../lib/shell/fieldLook';
  import { partNames } from '../lib/shell/parts';
  import { savePicture, tapePicture } from '../lib/tape/picture';
  import type { Line } from '../lib/tape/plot';
  import type { SeasonRun } from './run.svelte';

  /** A run to take away: tables, and the tape that is shown as a picture or on paper. */
  let { season, plan, lines }: { season: SeasonRun; plan: Plan; lines: Line[] } = $props();

  /** Steps that a table of what is shown can have: no more than 20,000 of them. */
  const STEPS: [number, string][] = [
    [0, 'as fine as the picture'],
    [60, '1 min'],
    [900, '15 min'],
    [3600, '1 h'],
  ];
  const steps = $derived(
    STEPS.filter(([seconds]) => seconds === 0 || (shown.to - shown.from) / seconds < 20_000),
  );
  let step = $state(0);

  const LINK = 'flex min-h-11 items-center underline';
  const base = $derived(`/api/season/${season.site}/runs/${season.done?.work.id}`);
  const shown = $derived(season.spans.shown);

  async function picture(asPixels: boolean) {
    const run = season.done?.run;
    const view = season.looked.view;
    if (!run || !view) return;
    const zone = plan.site.location.timeZone;
    const svg = tapePicture({ title: plan.site.name, run, view, lines, names: partNames(plan), zone });
    await savePicture(svg, `${season.site}-tape`, asPixels);
  }
</script>

<p class="no-print flex flex-wrap items-center gap-x-5 px-4 text-sm md:px-6">
  <span class="text-soft">Take away</span>
  {#if !isRunHere(season.done?.work.id)}
    <a class={LINK} href="{base}/events.csv" download>events (CSV)</a>
    <a class={LINK} href="{base}/ledger.csv" download>ledger by day (CSV)</a>
    <a
      class={LINK}
      href="{base}/trace.csv?from={shown.from}&to={shown.to}{step ? `&step=${step}` : ''}"
      download>what is shown (CSV)</a
    >
    <label class="flex items-center gap-2"
      >in steps of
      <select class="{FIELD} text-sm" bind:value={step}>
        {#each steps as [seconds, word] (seconds)}<option value={seconds}>{word}</option>{/each}
      </select>
    </label>
  {/if}
  <button class={LINK} onclick={() => picture(false)}>picture (SVG)</button>
  <button class={LINK} onclick={() => picture(true)}>picture (PNG)</button>
  <button class={LINK} onclick={() => window.print()}>print</button>
</p>
