<script lang="ts">
  import Action from '../lib/shell/Action.svelte';
  import { FIELD } from '../lib/shell/fieldLook';
  import type { Conditions } from './conditions.svelte';

  /** Circumstances other than the site tells: an aged battery, more or less load, another state of charge to begin with. */
  let { asked }: { asked: Conditions } = $props();

  function take(event: Event & { currentTarget: HTMLInputElement }, put: (value: number) => void) {
    const input = event.currentTarget;
    if (input.validity.valid && Number.isFinite(input.valueAsNumber)) put(input.valueAsNumber);
    else input.reportValidity();
  }
</script>

<div class="grid grid-cols-[repeat(auto-fill,minmax(9.5rem,1fr))] items-end gap-3 text-sm">
  <label class="flex flex-col">
    capacity left, %
    <input
      class="{FIELD} number"
      type="number"
      min="10"
      max="120"
      value={asked.capacityPercent}
      onchange={(event) => take(event, (value) => (asked.capacityPercent = value))}
    />
  </label>
  <label class="flex flex-col">
    its resistance, ×
    <input
      class="{FIELD} number"
      type="number"
      min="0.2"
      max="20"
      step="0.1"
      value={asked.resistance}
      onchange={(event) => take(event, (value) => (asked.resistance = value))}
    />
  </label>
  <label class="flex flex-col">
    all consumption, %
    <input
      class="{FIELD} number"
      type="number"
      min="5"
      max="500"
      value={asked.loadPercent}
      onchange={(event) => take(event, (value) => (asked.loadPercent = value))}
    />
  </label>
  <label class="flex flex-col">
    begins at, % charge
    <input
      class="{FIELD} number"
      type="number"
      min="0"
      max="100"
      placeholder="as set"
      value={asked.startPercent ?? ''}
      onchange={(event) => {
        if (event.currentTarget.value === '') asked.startPercent = undefined;
        else take(event, (value) => (asked.startPercent = value));
      }}
    />
  </label>
  <div class="flex items-end">
    <Action
      disabled={!asked.differs}
      onclick={() => {
        asked.capacityPercent = 100;
        asked.resistance = 1;
        asked.loadPercent = 100;
        asked.startPercent = undefined;
        asked.byHand = [];
      }}>As set at the site</Action
    >
  </div>
</div>
