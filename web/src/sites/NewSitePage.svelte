<script lang="ts">
  import { push } from 'svelte-spa-router';
  import { api, outcome, type Problem } from '../lib/api/client';
  import type { StartingPoint } from '../lib/api/api';
  import Action from '../lib/shell/Action.svelte';
  import { bytes } from '../lib/file/fileLook.svelte';
  import { session } from '../lib/shell/session.svelte';
  import Frame from '../lib/shell/Frame.svelte';
  import FileChoice from '../lib/shell/FileChoice.svelte';
  import Trouble from '../lib/shell/Trouble.svelte';

  /** A site from the little that is known of it, or from a document. */
  const chemistries: [StartingPoint['chemistry'], string][] = [
    ['FLOODED', 'flooded lead-acid'],
    ['AGM', 'AGM'],
    ['GEL', 'gel'],
    ['LITHIUM_IRON_PHOSPHATE', 'lithium iron phosphate'],
    ['NMC', 'lithium NMC'],
  ];
  let name = $state('');
  let latitude = $state(60);
  let longitude = $state(10);
  const ownZone = Intl.DateTimeFormat().resolvedOptions().timeZone;
  const zones = [ownZone, ...Intl.supportedValuesOf('timeZone').filter((one) => one !== ownZone)];
  let timeZone = $state(ownZone);
  let nominalVolts = $state(24);
  let chemistry = $state<StartingPoint['chemistry']>('LITHIUM_IRON_PHOSPHATE');
  let capacity = $state(200);
  let arrayWatts = $state(1000);
  let inverter = $state(true);
  let generator = $state(false);
  let feeder = $state(false);
  let surplusLoad = $state(false);
  let busy = $state('');
  let problem = $state<Problem>();
  let broken = $state<Problem>();
  const refused = $derived(
    Object.fromEntries(
      (problem?.errors ?? []).map((one) => [one.pointer.split('/').at(-1) ?? '', one.detail]),
    ),
  );

  async function make(event: SubmitEvent) {
    event.preventDefault();
    busy = 'Making the site';
    const start: StartingPoint = {
      name,
      location: { latitudeDegrees: latitude, longitudeDegrees: longitude, elevationMetres: 0, timeZone },
      nominalVolts,
      chemistry,
      capacityAmpereHours: capacity,
      arrayWatts,
      inverter,
      generator: inverter && generator,
      feeder: inverter && feeder,
      surplusLoad,
    };
    const answer = await outcome(api.POST('/api/sites', { body: { start } }));
    busy = '';
    problem = answer.problem;
    if (answer.data) await push(`/site/${answer.data.id}/plan`);
  }

  async function take(event: Event & { currentTarget: HTMLInputElement }) {
    const file = event.currentTarget.files?.[0];
    if (!file) return;
    const input = event.currentTarget;
    busy = 'Reading the document';
    const answer = await outcome(
      api.POST('/api/sites/documents', {
        body: (await file.text()) as never,
        bodySerializer: (content: unknown) => String(content),
        headers: { 'Content-Type': 'application/json' },
      }),
    );
    busy = '';
    // Emptied, so that the same file can be chosen again once it is mended.
    input.value = '';
    broken = answer.problem;
    if (answer.data) await push(`/site/${answer.data.id}/plan`);
  }

  async function open(event: Event & { currentTarget: HTMLInputElement }) {
    const file = event.currentTarget.files?.[0];
    if (!file) return;
    const input = event.currentTarget;
    busy = 'Opening the bundle';
    const { body, ...zipped } = bytes(file, 'application/zip');
    const answer = await outcome(api.POST('/api/sites/bundles', { ...zipped, body: body as never }));
    busy = '';
    input.value = '';
    broken = answer.problem;
    if (answer.data) await push(`/site/${answer.data.id}/plan`);
  }
</script>

{#snippet error(field: string)}
  {#if refused[field]}<span class="block text-sm text-danger" role="alert">{refused[field]}</span>{/if}
{/snippet}

<Frame title="New site" place="sites">
  {#if problem && !problem.errors}<Trouble {problem} retry={() => (problem = undefined)} />{/if}
  <form class="max-w-3xl px-4 py-5 md:px-6" onsubmit={make}>
    <p class="mb-4">
      From these few facts comes a complete program for the battery, to be adapted. What nobody has said yet
      is marked as a guess.
    </p>
    <div class="grid gap-x-6 gap-y-4 sm:grid-cols-2">
      <label class="sm:col-span-2"
        >Name<input class="field mt-1 w-full" bind:value={name} required maxlength="120" />{@render error(
          'name',
        )}</label
      >
      <label
        >Bank voltage<select class="field mt-1 w-full" bind:value={nominalVolts}>
          {#each [12, 24, 36, 48] as volts (volts)}<option value={volts}>{volts} V</option>{/each}
        </select></label
      >
      <label
        >Battery<select class="field mt-1 w-full" bind:value={chemistry}>
          {#each chemistries as [value, words] (value)}<option {value}>{words}</option>{/each}
        </select></label
      >
      <label
        >Capacity, Ah<input
          class="field number mt-1 w-full"
          type="number"
          step="any"
          bind:value={capacity}
          required
        />{@render error('capacityAmpereHours')}</label
      >
      <label
        >Array, W (0 for none)<input
          class="field number mt-1 w-full"
          type="number"
          step="any"
          bind:value={arrayWatts}
          required
        />{@render error('arrayWatts')}</label
      >
      <label
        >Latitude, ° north<input
          class="field number mt-1 w-full"
          type="number"
          step="any"
          bind:value={latitude}
          required
        />{@render error('latitudeDegrees')}</label
      >
      <label
        >Longitude, ° east<input
          class="field number mt-1 w-full"
          type="number"
          step="any"
          bind:value={longitude}
          required
        />{@render error('longitudeDegrees')}</label
      >
      <label class="sm:col-span-2"
        >Time zone<input
          class="field mt-1 w-full"
          list="zones"
          bind:value={timeZone}
          onfocus={(event) => event.currentTarget.select()}
          required
        />{@render error('timeZone')}</label
      >
      <datalist id="zones">
        {#each zones as zone (zone)}<option value={zone}></option>{/each}
      </datalist>
    </div>
    <fieldset class="mt-5">
      <legend class="mb-1 font-bold">What else is there</legend>
      <label class="flex min-h-11 items-center gap-3"
        ><input type="checkbox" class="h-5 w-5" bind:checked={inverter} />an inverter with a charger</label
      >
      <label class="flex min-h-11 items-center gap-3 {inverter ? '' : 'text-soft'}"
        ><input type="checkbox" class="h-5 w-5" bind:checked={feeder} disabled={!inverter} />a feeder from a
        grid or a shore that comes to it</label
      >
      <label class="flex min-h-11 items-center gap-3 {inverter ? '' : 'text-soft'}"
        ><input type="checkbox" class="h-5 w-5" bind:checked={generator} disabled={!inverter} />a generator
        that charges through it</label
      >
      <label class="flex min-h-11 items-center gap-3"
        ><input type="checkbox" class="h-5 w-5" bind:checked={surplusLoad} />a load that takes surplus</label
      >
    </fieldset>
    <div class="mt-5 flex flex-wrap items-center gap-4">
      <Action main type="submit" disabled={busy !== ''}>Make the site</Action>
      <span role="status" class="text-soft">{busy}</span>
    </div>
  </form>
  <section class="max-w-3xl border-t border-rule px-4 py-5 md:px-6" aria-labelledby="document">
    <h2 id="document">Or from a document</h2>
    <FileChoice says="Choose a plan document (JSON)" accept=".json,application/json" {take} />
    {#if session.administers}
      <p>
        <FileChoice
          says="Open a site that came as a bundle (zip)"
          accept=".zip,application/zip"
          take={open}
        />
      </p>
      <p class="max-w-2xl text-sm text-soft">
        All of a site as another Sparen had it. People it names who are not here are made, and may not sign
        in.
      </p>
    {/if}
    {#if broken}<Trouble problem={broken} />{/if}
  </section>
</Frame>
