<script lang="ts">
  import ContactSymbol from '../lib/contact/ContactSymbol.svelte';
  import Action from '../lib/shell/Action.svelte';
  import { duration, fixed, typed } from '../lib/sentence/quantity';
  import { FIELD } from '../lib/shell/fieldLook';
  import Frame from '../lib/shell/Frame.svelte';
  import { partNames } from '../lib/shell/parts';
  import Trouble from '../lib/shell/Trouble.svelte';
  import { editorOf } from '../plan/planEditor.svelte';
  import { Bench, SPEEDS, sortedKnobs } from './bench.svelte';
  import Knob from './Knob.svelte';
  import Walk from './Walk.svelte';

  let { params }: { params: { site: string } } = $props();

  const editor = $derived(editorOf(params.site));
  const plan = $derived(editor.plan);
  const bench = $derived(new Bench(params.site, () => editor.plan));
  const stands = $derived(bench.state);
  const knobs = $derived(sortedKnobs(Object.keys(stands?.knobs ?? {})));
  const names = $derived(plan ? partNames(plan) : {});
  const events = $derived([...(stands?.events ?? [])].reverse());
  let slowKnob = $state('battery_volts');
  let slowTo = $state('');
  let slowOver = $state('2 min');
  let slowTrouble = $state('');

  // Played anew whenever the plan is another one.
  $effect(() => {
    if (plan) void bench.play();
  });

  $effect(() => {
    if (!bench.running) return;
    const every = 200;
    const timer = setInterval(() => void bench.forward((bench.speed * every) / 1000), every);
    return () => clearInterval(timer);
  });

  async function turnSlowly(event: SubmitEvent) {
    event.preventDefault();
    const to = typed(slowTo, '');
    const over = typed(slowOver, 's');
    slowTrouble =
      to === undefined
        ? `“${slowTo}” is not a number`
        : over === undefined || over <= 0
          ? `“${slowOver}” is not a time, such as 90 s or 2 min`
          : '';
    if (slowTrouble === '' && to !== undefined && over !== undefined) await bench.turn(slowKnob, to, over);
  }

  const script = $derived(
    `data:application/json;charset=utf-8,${encodeURIComponent(JSON.stringify({ turns: bench.turns }, null, 2))}`,
  );

  async function takeScript(event: Event & { currentTarget: HTMLInputElement }) {
    const input = event.currentTarget;
    const file = input.files?.[0];
    if (!file) return;
    try {
      const read = JSON.parse(await file.text()) as { turns: typeof bench.turns };
      await bench.take(read.turns);
    } catch (broken) {
      bench.problem = {
        type: 'about:blank',
        status: 0,
        detail: `${file.name} is no script of a bench: ${(broken as Error).message}`,
      };
    }
    input.value = '';
  }
</script>

<Frame title={plan ? `Bench: ${plan.site.name}` : 'Bench'} site={params.site} place="bench">
  {#snippet header()}
    <div class="ml-auto flex flex-wrap items-center gap-2" data-took={Math.round(bench.took)}>
      <p class="number mr-2 text-lg font-bold" role="timer" aria-label="Time at the bench">
        {duration(Math.round(bench.seconds))}
      </p>
      <Action onclick={() => (bench.running = !bench.running)} aria-pressed={bench.running}
        >{bench.running ? 'Pause' : 'Run'}</Action
      >
      <select class={FIELD} aria-label="How fast" bind:value={bench.speed}>
        {#each SPEEDS as speed (speed)}<option value={speed}>× {speed}</option>{/each}
      </select>
      <Action onclick={() => bench.toNext()} disabled={stands?.nextSeconds === undefined}
        >To the next switching</Action
      >
      <Action onclick={() => bench.clear()}>Start again</Action>
    </div>
  {/snippet}

  {#if bench.problem}<Trouble problem={bench.problem} retry={() => bench.play()} />{/if}
  {#if editor.problem}<Trouble problem={editor.problem} retry={() => editor.load()} />{/if}
  {#if !plan || !stands}
    {#if !bench.problem}<p class="p-6 text-soft" role="status">Putting it on the bench</p>{/if}
  {:else}
    <p class="border-b border-rule px-4 py-2 text-sm text-soft md:px-6">
      Supply: every voltage is imposed, no battery answers. Simulated; it proves nothing about the devices
      themselves. The plan is taken with its unsaved changes.
    </p>
    <div class="grid grid-cols-1 lg:grid-cols-[19rem_minmax(0,1fr)_minmax(0,1fr)]">
      <section class="min-w-0 border-rule px-4 py-4 md:px-6 lg:border-r" aria-labelledby="knobs">
        <h2 id="knobs">Knobs</h2>
        {#each knobs.first as knob (knob)}
          <Knob
            {knob}
            value={stands.knobs[knob] ?? 0}
            nominalVolts={plan.site.nominalVolts}
            turn={(to) => bench.turn(knob, to)}
          />
        {/each}
        <details class="mt-3">
          <summary class="flex min-h-11 cursor-pointer items-center font-bold">All others</summary>
          {#each knobs.others as knob (knob)}
            <Knob
              {knob}
              value={stands.knobs[knob] ?? 0}
              nominalVolts={plan.site.nominalVolts}
              turn={(to) => bench.turn(knob, to)}
            />
          {/each}
        </details>
        <form
          class="mt-4 grid grid-cols-1 gap-2 border-t border-rule pt-3"
          onsubmit={turnSlowly}
          aria-label="Slow turn"
        >
          <h3>Slow turn</h3>
          <select class="{FIELD} w-full min-w-0" aria-label="Knob to turn slowly" bind:value={slowKnob}>
            {#each Object.keys(stands.knobs) as knob (knob)}<option value={knob}
                >{knob.replaceAll('_', ' ')}</option
              >{/each}
          </select>
          <div class="grid grid-cols-2 gap-2">
            <label class="grid min-w-0 gap-1 text-sm text-soft"
              >to<input
                class="{FIELD} w-full min-w-0"
                inputmode="decimal"
                bind:value={slowTo}
                aria-label="Turn slowly to"
              /></label
            >
            <label class="grid min-w-0 gap-1 text-sm text-soft"
              >over<input
                class="{FIELD} w-full min-w-0"
                bind:value={slowOver}
                aria-label="Over what time"
              /></label
            >
          </div>
          {#if slowTrouble}<p class="text-sm text-danger" role="alert">{slowTrouble}</p>{/if}
          <Action type="submit">Turn</Action>
        </form>
      </section>
      <section class="min-w-0 border-rule px-4 py-4 md:px-6 lg:border-r" aria-labelledby="contacts">
        <h2 id="contacts">Contacts</h2>
        <ul>
          {#each stands.outputs as one (one.output)}
            <li class="border-b border-rule py-3">
              <div class="flex items-center gap-4">
                <ContactSymbol closed={one.closed} label={names[one.output] ?? one.output} />
                <p class="grow font-bold">{names[one.output] ?? one.output}</p>
                <p class={one.chatters ? 'font-bold text-danger' : ''}>
                  {one.chatters ? 'chatters' : one.closed ? 'closed' : 'open'}
                </p>
              </div>
              {#each one.countdowns as countdown (countdown.what)}
                <p class="flex justify-between gap-4 text-sm">
                  <span class="text-soft">{countdown.what}</span>
                  <span class="number font-bold"
                    >{duration(Math.round(countdown.remainingSeconds * 10) / 10)}</span
                  >
                </p>
              {/each}
            </li>
          {:else}<li class="py-3 text-soft">No output is programmed here yet.</li>{/each}
        </ul>
      </section>
      <section class="min-w-0 px-4 py-4 md:px-6" aria-labelledby="printed">
        <div class="flex flex-wrap items-center gap-4">
          <h2 id="printed" class="grow">What happened</h2>
          <a
            class="flex min-h-11 items-center text-sm underline"
            href={script}
            download="{params.site}-bench.json">Keep this script</a
          >
          <label
            class="flex min-h-11 cursor-pointer items-center text-sm underline has-focus-visible:outline-3"
            >Play a script<input
              class="sr-only"
              type="file"
              accept=".json,application/json"
              onchange={takeScript}
            /></label
          >
        </div>
        <ol class="tape mt-2" aria-live="polite">
          {#each events as event, i (events.length - i)}
            <li class="border-b border-dashed border-rule-strong py-1.5">
              <span class="number">{fixed(event.seconds, 1)} s</span>
              <strong>{names[event.subject] ?? event.subject} {event.kind.toLowerCase()}</strong>
              <span class="block text-sm text-soft">{event.reason}</span>
            </li>
          {:else}<li class="text-soft">Nothing has switched yet. Turn a knob, or let time go on.</li>{/each}
        </ol>
      </section>
    </div>
    <Walk {bench} {names} />
  {/if}
</Frame>

<style>
  .tape {
    max-height: 34rem;
    overflow-y: auto;
  }
</style>
