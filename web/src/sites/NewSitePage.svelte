<script lang="ts">
  import { push } from 'svelte-spa-router';
  import { api, outcome, type Problem } from '../lib/api/client';
  import type { StartingPoint } from '../lib/api/api';
  import Action from '../lib/shell/Action.svelte';
  import Frame from '../lib/shell/Frame.svelte';
  import Trouble from '../lib/shell/Trouble.svelte';
  import Moves from './Moves.svelte';
  import SiteFromFile from './SiteFromFile.svelte';

  /** A site from the little that is known of it, or from a document. */
  const chemistries: [StartingPoint['chemistry'], string][] = [
    ['FLOODED', 'flooded lead-acid'],
    ['AGM', 'AGM'],
    ['GEL', 'gel'],
    ['LITHIUM_IRON_PHOSPHATE', 'lithium iron phosphate'],
    ['NMC', 'lithium NMC'],
  ];
  const ownZone = Intl.DateTimeFormat().resolvedOptions().timeZone;
  const zones = [ownZone, ...Intl.supportedValuesOf('timeZone').filter((one) => one !== ownZone)];
  let start = $state<StartingPoint & { moves: boolean }>({
    name: '',
    location: { latitudeDegrees: 60, longitudeDegrees: 10, elevationMetres: 0, timeZone: ownZone },
    nominalVolts: 24,
    chemistry: 'LITHIUM_IRON_PHOSPHATE',
    capacityAmpereHours: 200,
    arrayWatts: 1000,
    inverter: true,
    generator: false,
    feeder: false,
    surplusLoad: false,
    moves: false,
  });
  let alternatorWatts = $state(0);
  let busy = $state('');
  let problem = $state<Problem>();
  const refused = $derived(
    Object.fromEntries(
      (problem?.errors ?? []).map((one) => [one.pointer.split('/').at(-1) ?? '', one.detail]),
    ),
  );

  async function make(event: SubmitEvent) {
    event.preventDefault();
    busy = 'Making the site';
    const body = {
      ...start,
      generator: start.inverter && start.generator,
      feeder: start.inverter && start.feeder,
      ...(start.moves && alternatorWatts ? { alternatorWatts } : {}),
    };
    const answer = await outcome(api.POST('/api/sites', { body: { start: body } }));
    busy = '';
    problem = answer.problem;
    if (answer.data) await push(`/site/${answer.data.id}/plan`);
  }
</script>

{#snippet error(field: string)}
  {#if refused[field]}<span class="block text-sm text-danger" role="alert">{refused[field]}</span>{/if}
{/snippet}

{#snippet number(label: string, of: Record<string, unknown>, field: string)}
  <label
    >{label}<input
      class="field number mt-1 w-full"
      type="number"
      step="any"
      bind:value={of[field]}
      required
    />{@render error(field)}</label
  >
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
        >Name<input
          class="field mt-1 w-full"
          bind:value={start.name}
          required
          maxlength="120"
        />{@render error('name')}</label
      >
      <label
        >Bank voltage<select class="field mt-1 w-full" bind:value={start.nominalVolts}>
          {#each [12, 24, 36, 48] as volts (volts)}<option value={volts}>{volts} V</option>{/each}
        </select></label
      >
      <label
        >Battery<select class="field mt-1 w-full" bind:value={start.chemistry}>
          {#each chemistries as [value, words] (value)}<option {value}>{words}</option>{/each}
        </select></label
      >
      {@render number('Capacity, Ah', start, 'capacityAmpereHours')}
      {@render number('Array, W (0 for none)', start, 'arrayWatts')}
      {@render number('Latitude, ° north', start.location, 'latitudeDegrees')}
      {@render number('Longitude, ° east', start.location, 'longitudeDegrees')}
      <label class="sm:col-span-2"
        >Time zone<input
          class="field mt-1 w-full"
          list="zones"
          bind:value={start.location.timeZone}
          onfocus={(event) => event.currentTarget.select()}
          required
        />{@render error('timeZone')}</label
      >
      <datalist id="zones">
        {#each zones as zone (zone)}<option value={zone}></option>{/each}
      </datalist>
    </div>
    <Moves bind:moves={start.moves} bind:alternatorWatts {error} />
    <fieldset class="mt-5">
      <legend class="mb-1 font-bold">What else is there</legend>
      <label class="flex min-h-11 items-center gap-3"
        ><input type="checkbox" class="h-5 w-5" bind:checked={start.inverter} />an inverter with a charger</label
      >
      <label class="flex min-h-11 items-center gap-3 {start.inverter ? '' : 'text-soft'}"
        ><input type="checkbox" class="h-5 w-5" bind:checked={start.feeder} disabled={!start.inverter} />a
        feeder from a grid or a shore that comes to it</label
      >
      <label class="flex min-h-11 items-center gap-3 {start.inverter ? '' : 'text-soft'}"
        ><input type="checkbox" class="h-5 w-5" bind:checked={start.generator} disabled={!start.inverter} />a
        generator that charges through it</label
      >
      <label class="flex min-h-11 items-center gap-3"
        ><input type="checkbox" class="h-5 w-5" bind:checked={start.surplusLoad} />a load that takes surplus</label
      >
    </fieldset>
    <div class="mt-5 flex flex-wrap items-center gap-4">
      <Action main type="submit" disabled={busy !== ''}>Make the site</Action>
      <span role="status" class="text-soft">{busy}</span>
    </div>
  </form>
  <SiteFromFile />
</Frame>
