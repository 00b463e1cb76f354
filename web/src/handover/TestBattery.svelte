<script lang="ts">
  import { untrack } from 'svelte';
  import { SiteNow } from '../lib/live/siteNow.svelte';
  import { decimal } from '../lib/sentence/quantity';
  import Action from '../lib/shell/Action.svelte';
  import { FIELD } from '../lib/shell/fieldLook';
  import Said from '../lib/shell/Said.svelte';
  import type { BenchTests } from './benchTests.svelte';

  /** What is measured with, and what the battery is at: from that is said how each level can be tried today. */
  let { tests, site }: { tests: BenchTests; site: string } = $props();

  let volts = $state('');
  let percent = $state('');
  let arrays = $state('');
  /** Where a device tells what the battery is at, nobody has to type it. */
  const live = $derived(new SiteNow(site));
  $effect(() => live.follow());
  $effect(() => {
    const { BATTERY_VOLTS, CHARGE_PERCENT, ARRAY_WATTS } = live.now?.numbers ?? {};
    untrack(() => {
      if (volts === '' && BATTERY_VOLTS !== undefined) volts = decimal(BATTERY_VOLTS, 2);
      if (percent === '' && CHARGE_PERCENT !== undefined) percent = decimal(CHARGE_PERCENT, 0);
      if (arrays === '' && ARRAY_WATTS !== undefined) arrays = decimal(ARRAY_WATTS, 0);
    });
  });

  const number = (text: string) => (text.trim() === '' ? undefined : Number(text.replace(',', '.')));
</script>

<form
  class="no-print mt-4 flex flex-wrap items-end gap-3"
  onsubmit={(event) => {
    event.preventDefault();
    void tests.battery(number(volts), number(percent), number(arrays));
  }}
  novalidate
>
  <label class="grid gap-1"
    >measured with
    <input
      class="{FIELD} w-56"
      placeholder="meter, serial number"
      value={tests.instrument}
      oninput={(event) => {
        tests.instrument = event.currentTarget.value;
        tests.keep();
      }}
    /></label
  >
  <label class="grid gap-1"
    >the battery is at (V) <input class="{FIELD} number w-28" inputmode="decimal" bind:value={volts} /></label
  >
  <label class="grid gap-1"
    >and at (%) <input class="{FIELD} number w-24" inputmode="decimal" bind:value={percent} /></label
  >
  <label class="grid gap-1"
    >the arrays give (W) <input class="{FIELD} number w-28" inputmode="decimal" bind:value={arrays} /></label
  >
  <Action type="submit">Say how to try each level</Action>
  {#if tests.refused?.at === 'battery'}<Said problem={tests.refused.problem} />{/if}
</form>
