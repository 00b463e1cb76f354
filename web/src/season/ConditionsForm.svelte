<script lang="ts">
  import type { WeatherFileAbout } from '../lib/api/api';
  import { own, read, unitRead } from '../lib/sentence/quantity';
  import DateField from '../lib/shell/DateField.svelte';
  import { FIELD } from '../lib/shell/fieldLook';
  import { WEATHERS, type Conditions } from './conditions.svelte';

  /** When a run begins, how long it is, and in what weather. */
  interface Props {
    asked: Conditions;
    /** Weather files of the site. */
    files?: WeatherFileAbout[];
    /** The longest run that can be asked for here (d). */
    mostDays?: number;
    /** Only the weather: when and how long is told elsewhere. */
    weatherOnly?: boolean;
    /** Told when another span of time is asked for. */
    moved?: () => void;
  }
  let { asked, files = [], mostDays = 3660, weatherOnly = false, moved = () => {} }: Props = $props();

  const DAYS = [1, 3, 7, 14, 30, 90, 180, 365, 1826, 3652];
  const days = $derived(
    [...new Set([...DAYS, asked.days])].sort((a, b) => a - b).filter((one) => one <= mostDays),
  );
  const onlyDays = $derived(WEATHERS.some(([kind]) => kind === asked.weather && kind !== 'PLACE'));

  const meanAir = $derived(Math.round(read(asked.meanCelsius, '°C')));

  function bounded(input: HTMLInputElement, before: number): number {
    const typed = input.valueAsNumber;
    const kept = Number.isFinite(typed)
      ? Math.min(Number(input.max), Math.max(Number(input.min), Math.round(typed)))
      : before;
    input.value = String(kept);
    return kept;
  }
</script>

<div class="no-print flex flex-wrap items-end gap-3 text-sm" role="group" aria-label="Days and weather">
  {#if !weatherOnly}
    <DateField
      label="from"
      required
      value={asked.from}
      change={(day) => {
        asked.from = day;
        moved();
      }}
    />
    <label class="flex flex-col">
      days
      <select
        class="{FIELD} number"
        aria-label="days"
        value={Math.min(asked.days, mostDays)}
        onchange={(event) => {
          asked.days = Number(event.currentTarget.value);
          moved();
        }}
      >
        {#each days as one (one)}<option value={one}
            >{one >= 1000 ? `${Math.round(one / 365)} years` : one}</option
          >{/each}
      </select>
    </label>
  {/if}
  <label class="flex min-w-0 flex-col">
    weather
    <select class="{FIELD} max-w-72" aria-label="weather" bind:value={asked.weather}>
      {#each WEATHERS as [kind, word] (kind)}<option value={kind}>{word}</option>{/each}
      {#each files as file (file.id)}<option value={file.id}>file {file.name}</option>{/each}
    </select>
  </label>
  <label class="flex flex-col">
    weather no.
    <input
      class="{FIELD} number w-20"
      type="number"
      min="0"
      max="999999"
      step="1"
      value={asked.weatherNumber}
      onchange={(event) => (asked.weatherNumber = bounded(event.currentTarget, asked.weatherNumber))}
    />
  </label>
  {#if onlyDays}
    <label class="flex flex-col">
      mean air, {unitRead('°C')}
      <input
        class="{FIELD} number w-24"
        type="number"
        min={read(-60, '°C')}
        max={read(50, '°C')}
        step="1"
        value={meanAir}
        onchange={(event) => (asked.meanCelsius = own(bounded(event.currentTarget, meanAir), '°C'))}
      />
    </label>
  {/if}
</div>
