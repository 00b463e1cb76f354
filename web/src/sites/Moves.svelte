<script lang="ts">
  import type { Snippet } from 'svelte';

  /** Whether a new site stands or moves, and what an alternator brings while it does (W; 0 for none). */
  interface Props {
    moves: boolean;
    alternatorWatts: number;
    /** What is refused of it. */
    error: Snippet<[string]>;
  }
  let { moves = $bindable(), alternatorWatts = $bindable(), error }: Props = $props();

  const USUAL_WATTS = 400;
  const CHOICES = [
    [false, 'in one place'],
    [true, 'it moves: a trailer, a vehicle, a boat; its array lies flat'],
  ] as const;
</script>

<fieldset class="mt-5">
  <legend class="mb-1 font-bold">Where it stands</legend>
  {#each CHOICES as [value, words] (words)}
    <label class="flex min-h-11 items-center gap-3"
      ><input type="radio" class="h-5 w-5" {value} bind:group={moves} />{words}</label
    >
  {/each}
  {#if moves}
    <div class="ml-8 flex flex-wrap items-center gap-x-3">
      <label class="flex min-h-11 items-center gap-3"
        ><input
          type="checkbox"
          class="h-5 w-5"
          checked={alternatorWatts > 0}
          onchange={(event) => (alternatorWatts = event.currentTarget.checked ? USUAL_WATTS : 0)}
        />an alternator charges while it moves, through a converter of</label
      >
      {#if alternatorWatts > 0}
        <span class="flex items-center gap-2"
          ><input
            class="field number w-28"
            type="number"
            step="any"
            aria-label="Alternator, W"
            bind:value={alternatorWatts}
            required
          />W</span
        >
      {/if}
      {@render error('alternatorWatts')}
    </div>
  {/if}
</fieldset>
