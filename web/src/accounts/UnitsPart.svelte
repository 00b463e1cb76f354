<script lang="ts">
  import { units } from '../lib/sentence/units.svelte';

  const CHOICES = [
    [false, 'metric: °C, m, mm², l'],
    [true, 'customary: °F, ft, AWG, gal'],
  ] as const;
</script>

<section class="grid gap-2" aria-labelledby="units">
  <h2 id="units">Units</h2>
  <p class="max-w-2xl text-soft">
    In which you read and type in this browser. Plans stay metric; every unit may be typed, whichever is
    chosen.
  </p>
  <fieldset class="grid gap-1">
    <legend class="sr-only">Units</legend>
    {#each CHOICES as [customary, says] (says)}
      <label class="flex min-h-11 items-center gap-3"
        ><input
          type="radio"
          class="size-5 accent-ink"
          name="units"
          checked={units.customary === customary}
          onchange={() => units.choose(customary)}
        />{says}</label
      >
    {/each}
  </fieldset>
</section>
