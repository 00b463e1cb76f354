<script lang="ts">
  import type { NamedSignal, Output } from '../lib/api/api';
  import Frame from '../lib/shell/Frame.svelte';
  import { session } from '../lib/shell/session.svelte';
  import { partNames } from '../lib/shell/parts';
  import Trouble from '../lib/shell/Trouble.svelte';
  import { editorOf } from '../plan/editors';
  import BenchClock from './BenchClock.svelte';
  import BenchScale from './BenchScale.svelte';
  import { Bench, setAtStart, sortedKnobs } from './bench.svelte';
  import Contacts from './Contacts.svelte';
  import Devices from './Devices.svelte';
  import EventStrip from './EventStrip.svelte';
  import Knob from './Knob.svelte';
  import Protocol from './Protocol.svelte';
  import LiveNow from './LiveNow.svelte';
  import PutBack from './PutBack.svelte';
  import Printed from './Printed.svelte';
  import { liveScale, scaleOf, voltageScale, type Scale } from './scale';
  import Scripts from './Scripts.svelte';
  import SlowTurn from './SlowTurn.svelte';
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
  const hasDevices = $derived((stands?.chargers.length ?? 0) > 0 || stands?.inverter !== undefined);
  const names = $derived(plan ? partNames(plan) : {});
  // Played anew whenever the plan is another one.
  $effect(() => {
    if (!plan) return;
    bench.forgetWalks();
    void bench.play();
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
    <BenchClock {bench} />
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
      <BenchScale
        {bench}
        {scale}
        {volts}
        knob={knobOnScale}
        {turn}
        turnScale={(to) => turnScale(scale, to)}
        back={() => (onScale = undefined)}
      />
    {/if}
    <div
      class="grid grid-cols-1 border-b border-rule {hasDevices
        ? 'lg:grid-cols-[minmax(0,1fr)_20rem] lg:gap-x-6'
        : ''} px-4 md:px-6"
    >
      <section class="min-w-0 py-1" aria-labelledby="contacts">
        <h2 id="contacts" class="sr-only">Contacts</h2>
        <Contacts
          outputs={stands.outputs}
          {plan}
          span={volts ? volts.high - volts.low : (plan.site.nominalVolts ?? 12) / 2}
          {bring}
          {...session.mayChangeAt(params.site) ? { force } : {}}
        />
      </section>
      <Devices {stands} {names} />
    </div>
    {#if live}<LiveNow {live} events={stands.events} />{/if}
    <EventStrip events={stands.events} {names} />
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
    <Printed {stands} {names} />
    <Scripts {bench} {names} mayKeep={session.mayChangeAt(params.site)} />
    <Walk {bench} {names} />
    <Protocol {bench} {names} events={stands.events} />
  {/if}
</Frame>
