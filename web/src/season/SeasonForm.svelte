<script lang="ts">
  import type { Season } from './season.svelte';

  let { season, compact = false }: { season: Season; compact?: boolean } = $props();

  const kinds = [
    ['CLEAR', 'clear'],
    ['MIXED', 'mixed'],
    ['DULL', 'dull'],
  ] as const;
  const DAYS = [1, 3, 7, 14, 30, 90, 365];

  function day(event: Event & { currentTarget: HTMLInputElement }) {
    // An emptied date field keeps the last good date; the field shows it again on leaving.
    if (event.currentTarget.validity.valid && event.currentTarget.value)
      season.from = event.currentTarget.value;
    else event.currentTarget.value = season.from;
    season.show(undefined);
  }
</script>

<form
  class="no-print flex flex-wrap items-end gap-3 px-2 text-sm"
  onsubmit={(event) => event.preventDefault()}
>
  <label class="flex flex-col">
    from
    <input
      class="field number"
      type="date"
      min="2000-01-01"
      max="2099-12-31"
      value={season.from}
      onchange={day}
    />
  </label>
  <label class="flex flex-col">
    days
    <select
      class="field number"
      value={season.days}
      onchange={(event) => {
        season.days = Number(event.currentTarget.value);
        season.show(undefined);
      }}
    >
      {#each DAYS as days (days)}<option value={days}>{days}</option>{/each}
    </select>
  </label>
  <label class="flex flex-col">
    weather
    <select class="field" bind:value={season.weather}>
      {#each kinds as [kind, word] (kind)}<option value={kind}>{word}</option>{/each}
    </select>
  </label>
  <label class="flex flex-col">
    seed
    <input
      class="field number w-20"
      type="number"
      min="0"
      max="999999"
      step="1"
      value={season.seed}
      onchange={(event) => (season.seed = Math.max(0, Math.round(event.currentTarget.valueAsNumber || 0)))}
    />
  </label>
  {#if !compact}
    <label class="flex flex-col">
      mean air, °C
      <input
        class="field number w-24"
        type="number"
        min="-60"
        max="50"
        step="1"
        value={season.meanCelsius}
        onchange={(event) => {
          const typed = event.currentTarget.valueAsNumber;
          season.meanCelsius = Number.isFinite(typed)
            ? Math.min(50, Math.max(-60, typed))
            : season.meanCelsius;
        }}
      />
    </label>
  {/if}
</form>
