<script lang="ts">
  import Action from '../lib/shell/Action.svelte';
  import { duration, fixed } from '../lib/sentence/quantity';
  import { FIELD } from '../lib/shell/fieldLook';
  import type { NamedSignal, Output } from '../lib/api/api';
  import Frame from '../lib/shell/Frame.svelte';
  import { session } from '../lib/shell/session.svelte';
  import { partNames } from '../lib/shell/parts';
  import { happened } from '../lib/tape/events';
  import Trouble from '../lib/shell/Trouble.svelte';
  import { editorOf } from '../plan/planEditor.svelte';
  import { Bench, setAtStart, SPEEDS, sortedKnobs } from './bench.svelte';
  import Contacts from './Contacts.svelte';
  import Devices from './Devices.svelte';
  import Knob from './Knob.svelte';
  import Protocol from './Protocol.svelte';
  import PutBack from './PutBack.svelte';
  import { liveScale, scaleOf, voltages, voltageScale, type Scale } from './scale';
  import ScaleBar from './ScaleBar.svelte';
  import Scripts from './Scripts.svelte';
  import SlowTurn from './SlowTurn.svelte';
  import Strip from './Strip.svelte';
  import TestLevel from './TestLevel.svelte';
  import Walk from './Walk.svelte';

  let { params }: { params: { site: string } } = $props();

  const editor = $derived(editorOf(params.site));
  const plan = $derived(editor.plan);
  const bench = $derived(new Bench(params.site, () => editor.plan));
  const stands = $derived(bench.state);
  const signals = $derived(stands?.signals ?? []);
  const pegs = $derived(editor.reading?.gauge.pegs ?? []);
  /** The knob that stands on the scale; the voltages together when none does. */
  let onScale = $state<string>();
  let split = $state(false);
  const knobOnScale = $derived(signals.find((one) => one.id === onScale));
  const volts = $derived(voltageScale(signals, stands?.knobs ?? {}, pegs));
  const live = $derived(stands?.live);
  const scale = $derived(
    knobOnScale
      ? scaleOf(knobOnScale, stands?.knobs ?? {}, pegs)
      : live
        ? liveScale(pegs, live.batteryVolts)
        : volts,
  );
  /** Turned by the scale's thumb, or known by heart at the live bench. */
  const knobs = $derived(
    sortedKnobs(signals.filter((one) => one.kind !== 'VOLTAGE' && one.kind !== 'CONTACT')),
  );
  /** What moves a voltage is on the scale already. */
  function bring(knob: string) {
    onScale = volts?.knobs.includes(knob) ? undefined : knob;
  }
  /** Seconds as they are counted by hand; what comes later is said in hours. */
  const instantAt = (seconds: number) =>
    seconds < 600 ? `${fixed(seconds, 1)} s` : duration(Math.round(seconds));
  const names = $derived(plan ? partNames(plan) : {});
  const events = $derived([...(stands?.events ?? [])].reverse());
  // Played anew whenever the plan is another one.
  $effect(() => {
    if (!plan) return;
    bench.forgetWalks();
    void bench.play();
  });

  $effect(() => {
    if (!bench.running) return;
    const every = 200;
    const timer = setInterval(() => void bench.forward((bench.speed * every) / 1000), every);
    return () => clearInterval(timer);
  });

  function turn(knob: NamedSignal, to: number) {
    void (bench.live && setAtStart(knob) ? bench.setAtStart(knob.id, to) : bench.turn(knob.id, to));
  }

  function turnScale(scale: Scale, to: number) {
    const value = to / scale.times;
    if (knobOnScale) turn(knobOnScale, value);
    else void bench.turn(scale.knobs, value);
  }

  /** As on the device: in the plan, a finding and shown loudly until it is withdrawn. */
  function force(index: number, to: Output['testForce']) {
    const name = plan?.program.outputs[index]?.name;
    editor.set(
      ['program', 'outputs', index, 'testForce'],
      to,
      () => `test force of ${name}: ${to.toLowerCase()}`,
    );
  }
</script>

<Frame title={plan?.site.name ?? 'Bench'} site={params.site} place="bench">
  {#snippet header()}
    <div class="ml-auto flex flex-wrap items-center gap-2" data-took={Math.round(bench.took)}>
      <p class="number mr-2 text-lg font-bold" role="timer" aria-label="Time at the bench">
        {duration(Math.round(bench.seconds))}
      </p>
      <select
        class={FIELD}
        aria-label="What answers"
        value={bench.live ? 'live' : 'supply'}
        onchange={(event) => bench.setLive(event.currentTarget.value === 'live')}
      >
        <option value="supply">supply</option>
        <option value="live">live battery</option>
      </select>
      <Action onclick={() => (bench.running = !bench.running)} aria-pressed={bench.running}
        >{bench.running ? 'Pause' : 'Run'}</Action
      >
      <select class={FIELD} aria-label="How fast" bind:value={bench.speed}>
        {#each SPEEDS as speed (speed)}<option value={speed}>× {speed}</option>{/each}
      </select>
      <Action onclick={() => bench.toNext()}>To the next switching</Action>
      <Action onclick={() => bench.clear()}>Start again</Action>
    </div>
  {/snippet}

  {#if bench.problem}<Trouble problem={bench.problem} retry={() => bench.play()} />{/if}
  {#if editor.problem}<Trouble problem={editor.problem} retry={() => editor.load()} />{/if}
  {#if !plan || !stands}
    {#if !bench.problem}<p class="p-6 text-soft" role="status">Putting it on the bench</p>{/if}
  {:else}
    <p class="border-b border-rule px-4 py-2 text-sm text-soft max-md:text-xs md:px-6">
      {bench.live
        ? 'Live: a model of the site’s battery answers to what the loads draw.'
        : 'Supply: every voltage is imposed, no battery answers.'} Simulated; it proves nothing about the devices
      themselves. The plan is taken with its unsaved changes.
    </p>
    <PutBack {editor} {force} />
    {#if scale}
      <section
        class="sticky top-0 z-10 border-b border-rule bg-paper px-4 pt-2 pb-1 md:px-6"
        aria-label="Scale"
      >
        <ScaleBar {scale} {...knobOnScale || !live ? { turn: (to: number) => turnScale(scale, to) } : {}} />
        <div class="no-print flex flex-wrap items-center gap-x-6 text-sm">
          {#if knobOnScale}
            <button class="min-h-8 underline" onclick={() => (onScale = undefined)}
              >Back to the voltage</button
            >
          {:else if !live && (volts?.knobs.length ?? 0) > 1}
            <button class="min-h-8 underline" aria-expanded={split} onclick={() => (split = !split)}
              >{split ? 'One voltage for all points' : `Split: ${volts?.knobs.length} points apart`}</button
            >
          {/if}
          <p class="ml-auto" role="status">{bench.notice}</p>
        </div>
        {#if split && !live && !knobOnScale}
          <div class="grid gap-x-8 pb-2 sm:grid-cols-2 lg:grid-cols-3">
            {#each voltages(signals) as knob (knob.id)}
              <Knob {knob} value={stands.knobs[knob.id] ?? 0} turn={(to) => turn(knob, to)} />
            {/each}
          </div>
        {/if}
      </section>
    {/if}
    <div class="grid grid-cols-1 lg:grid-cols-[minmax(0,1fr)_20rem]">
      <section class="min-w-0 border-rule px-4 py-1 md:px-6 lg:border-r" aria-labelledby="contacts">
        <h2 id="contacts" class="sr-only">Contacts</h2>
        <Contacts
          outputs={stands.outputs}
          {plan}
          span={volts ? volts.high - volts.low : (plan.site.nominalVolts ?? 12) / 2}
          {bring}
          {...session.mayChangeAt(params.site) ? { force } : {}}
        />
        <Devices {stands} {names} />
      </section>
      <section class="min-w-0 px-4 py-3 md:px-6" aria-labelledby="printed">
        <h2 id="printed">What happened</h2>
        {#if live}
          <p class="number text-lg font-bold" aria-label="Battery now">
            {fixed(live.batteryVolts, 2)} V
            <span class="ml-3">{fixed(Math.round(live.batteryAmperes * 10) / 10 + 0, 1)} A</span>
            <span class="ml-3">{fixed(live.stateOfCharge * 100, 1)} %</span>
          </p>
          <Strip trace={live.trace} events={stands.events} />
        {/if}
        <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
        <ol class="tape mt-2" aria-live="polite" aria-label="Printed" tabindex="0">
          {#each events as event, i (events.length - i)}
            <li class="border-b border-dashed border-rule-strong py-1.5">
              <span class="number">{instantAt(event.seconds)}</span>
              <strong>{names[event.subject] ?? event.subject} {happened(event.kind)}</strong>
              <span class="block text-sm text-soft">{event.reason}</span>
            </li>
          {:else}<li class="text-soft">
              Nothing has switched yet. {live ? 'Turn a knob' : 'Move the thumb'}, or let time go on.
            </li>{/each}
        </ol>
      </section>
    </div>
    <details class="no-print border-t border-rule px-4 md:px-6">
      <summary class="opens flex min-h-11 cursor-pointer items-center font-bold"
        >Other knobs: charge, sun, time, temperature, loads; slow turns; levels set for a test</summary
      >
      <div class="grid gap-x-10 pb-4 sm:grid-cols-2 lg:grid-cols-3">
        {#each [...knobs.first, ...knobs.others] as knob (knob.id)}
          <Knob {knob} value={stands.knobs[knob.id] ?? 0} turn={(to) => turn(knob, to)} />
        {/each}
      </div>
      <div class="grid gap-x-10 lg:grid-cols-2">
        <SlowTurn {bench} knobs={stands.signals.filter((knob) => !bench.live || !setAtStart(knob))} />
        {#if session.mayChangeAt(params.site)}<TestLevel {editor} />{/if}
      </div>
    </details>
    <Scripts {bench} {names} mayKeep={session.mayChangeAt(params.site)} />
    <Walk {bench} {names} />
    <Protocol {bench} {names} events={stands.events} />
  {/if}
</Frame>

<style>
  .tape {
    max-height: 34rem;
    overflow-y: auto;
  }
</style>
