<script lang="ts">
  import Action from '../lib/shell/Action.svelte';
  import { untrack } from 'svelte';
  import type { Rule } from '../lib/api/api';
  import { duration, moment } from '../lib/sentence/quantity';
  import Lanes from '../lib/tape/Lanes.svelte';
  import type { Line } from '../lib/tape/tape';
  import Trouble from '../lib/shell/Trouble.svelte';
  import type { PlanEditor } from '../plan/planEditor.svelte';
  import SeasonForm from './SeasonForm.svelte';
  import type { Season } from './season.svelte';

  interface Props {
    editor: PlanEditor;
    season: Season;
    /** The output whose thresholds are drawn. */
    output?: string;
    compact?: boolean;
  }
  let { editor, season, output, compact = false }: Props = $props();

  // The charting library comes only when a tape is shown.
  const tape = import('../lib/tape/Tape.svelte');
  let width = $state(0);
  let hovered = $state<number>();
  const plan = $derived(editor.plan);
  const answer = $derived(season.answer);
  const zone = $derived(plan?.site.location.timeZone ?? 'UTC');
  const names = $derived(Object.fromEntries((plan?.program.outputs ?? []).map((one) => [one.id, one.name])));
  const length = $derived(season.shown.to - season.shown.from);

  const lines: Line[] = $derived.by(() => {
    const chosen = plan?.program.outputs.find((one) => one.id === output);
    return [chosen?.protection, chosen?.automatic].flatMap(linesOf);
  });

  function linesOf(rule: Rule | undefined): Line[] {
    if (rule?.kind === 'voltageDisconnect') {
      return [
        { volts: rule.lvdVolts, label: 'LVD' },
        { volts: rule.lvrVolts, label: 'LVR' },
      ];
    }
    if (rule?.kind === 'voltageDiversion') {
      return [
        { volts: rule.onVolts, label: 'diversion on' },
        { volts: rule.offVolts, label: 'diversion off' },
      ];
    }
    if (rule?.kind === 'lowBatterySignal') {
      return [
        { volts: rule.warningVolts, label: 'warning' },
        { volts: rule.clearsVolts, label: 'clears' },
      ];
    }
    return [];
  }

  $effect(() => {
    void [season.from, season.days, season.weather, season.seed, season.meanCelsius, season.span];
    const now = plan;
    const buckets = width;
    if (now && buckets > 0) untrack(() => season.run(now, buckets - 80));
  });

  function keys(event: KeyboardEvent) {
    const act: Record<string, () => void> = {
      ArrowLeft: () => season.pan(-0.25),
      ArrowRight: () => season.pan(0.25),
      '+': () => season.zoom(0.5),
      '-': () => season.zoom(2),
      '0': () => season.show(undefined),
    };
    const chosen = act[event.key];
    if (!chosen || event.ctrlKey || event.metaKey || event.target !== event.currentTarget) return;
    event.preventDefault();
    chosen();
  }
</script>

<section id="tape" class="px-2 pt-3 md:px-4" aria-label="Tape" bind:clientWidth={width}>
  <div class="flex flex-wrap items-end gap-x-6 gap-y-2">
    <SeasonForm {season} {compact} />
    <div class="no-print flex grow flex-wrap items-center gap-2 px-2">
      <Action onclick={() => season.zoom(0.5)} aria-label="Closer">+</Action>
      <Action onclick={() => season.zoom(2)} disabled={!season.span} aria-label="Wider">−</Action>
      <Action onclick={() => season.pan(-0.5)} disabled={!season.span} aria-label="Earlier">←</Action>
      <Action onclick={() => season.pan(0.5)} disabled={!season.span} aria-label="Later">→</Action>
      <Action onclick={() => season.show(undefined)} disabled={!season.span}>Whole run</Action>
      <p class="number ml-auto text-sm text-soft" aria-live="off">
        {#if answer && hovered !== undefined}{moment(Date.parse(answer.start) + hovered * 1000, zone)}
        {:else}{duration(Math.round(length))} shown{/if}
      </p>
    </div>
  </div>
  {#if season.problem}<Trouble
      problem={season.problem}
      retry={() => plan && season.run(plan, width - 80)}
    />{/if}
  {#if answer}
    <!-- svelte-ignore a11y_no_noninteractive_tabindex, a11y_no_noninteractive_element_interactions -->
    <div
      class="mt-2"
      role="group"
      tabindex="0"
      aria-label="Tape of the simulated run; arrow keys move, plus and minus zoom, 0 shows the whole run"
      data-took={Math.round(season.took)}
      onkeydown={keys}
    >
      {#await tape then { default: Tape }}
        <Tape
          {answer}
          {lines}
          {zone}
          {compact}
          choose={(from, to) => season.show({ from, to })}
          hover={(seconds) => (hovered = seconds)}
        />
      {/await}
      <Lanes
        outputs={answer.outputs}
        {names}
        signalling={(plan?.program.outputs ?? [])
          .filter((one) => one.loads.length === 0)
          .map((one) => one.id)}
        from={answer.trace.fromSeconds}
        to={answer.trace.fromSeconds + answer.trace.bucketSeconds * answer.trace.usedWatts.length}
        end={answer.durationSeconds}
      />
    </div>
    <p class="px-2 py-2 text-sm text-soft">
      Simulated: planning figures, no proof of safety.{#if answer.status === 'CHATTERING'}
        <strong class="text-danger"
          >An output chatters; counts after that depend on the bound put on it.</strong
        >{/if}
    </p>
  {:else if !season.problem}
    <div class="h-[430px] p-2 text-soft" role="status">Running the season</div>
  {/if}
</section>
