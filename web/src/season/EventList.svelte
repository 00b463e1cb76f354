<script lang="ts">
  import Action from '../lib/shell/Action.svelte';
  import type { Event, Plan, SeasonAnswer } from '../lib/api/api';
  import { partNames } from '../lib/shell/parts';
  import { fixed, moment } from '../lib/sentence/quantity';
  import type { Season } from './season.svelte';

  let { answer, plan, season }: { answer: SeasonAnswer; plan: Plan; season: Season } = $props();

  const AROUND_SECONDS = 40;
  const PAGE = 100;
  let most = $state(PAGE);
  const zone = $derived(plan.site.location.timeZone);
  const start = $derived(Date.parse(answer.start));
  const words: Record<Event['kind'], string> = {
    OPENED: 'opens',
    CLOCK: 'clock lost',
    LOCKOUT: 'lockout',
    CLOSED: 'closes',
    CHATTER: 'chatters',
    STAGE: 'stage',
    EMPTY: 'battery empty',
    COLLAPSE: 'voltage collapse',
    RECOVERED: 'recovered',
    PATH: 'BMS',
    HAZARD: 'hazard',
    FUSE: 'fuse',
    CONVERTER: 'converter',
    AC: 'AC side',
    GENERATOR: '',
    FEEDER: '',
    TANK: 'thermostat',
    SYNCHRONISED: 'counts anew',
  };
  const names = $derived(partNames(plan));
  function look(event: Event) {
    season.show({ from: event.seconds - AROUND_SECONDS, to: event.seconds + AROUND_SECONDS });
    document.getElementById('tape')?.scrollIntoView({ block: 'start' });
  }
  const grave = (kind: Event['kind']) => ['CHATTER', 'EMPTY', 'COLLAPSE', 'HAZARD', 'FUSE'].includes(kind);
</script>

<section aria-labelledby="events">
  <h2 id="events">What happened, and why</h2>
  {#if answer.events.length === 0}
    <p class="mt-2 text-soft">Nothing switched and no stage changed in this run.</p>
  {:else}
    <ol class="mt-2 max-h-[34rem] overflow-y-auto border-y border-rule">
      {#each answer.events.slice(0, most) as event, i (i)}
        <li class="border-b border-rule last:border-0">
          <button
            class="grid w-full grid-cols-1 gap-x-4 px-1 py-2 text-left hover:bg-raised sm:grid-cols-[11.5rem_1fr]"
            onclick={() => look(event)}
          >
            <span class="number text-sm">{moment(start + event.seconds * 1000, zone)}</span>
            <span>
              <span class={grave(event.kind) ? 'font-bold text-danger' : 'font-bold'}
                >{names[event.subject] ?? 'Bus'} {words[event.kind]}</span
              >
              <span class="block text-sm text-soft">
                {event.reason}; battery <span class="number">{fixed(event.batteryVolts, 2)} V</span>, true
                state of charge
                <span class="number">{fixed(event.stateOfCharge * 100, 1)} %</span>
              </span>
            </span>
          </button>
        </li>
      {/each}
    </ol>
    {#if answer.events.length > most}
      <Action class="mt-2" onclick={() => (most += PAGE)}>
        Show more of {answer.events.length + answer.eventsLeftOut}
      </Action>
    {/if}
  {/if}
</section>
