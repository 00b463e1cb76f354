<script lang="ts">
  import type { DeviceProfile, Plan } from '../lib/api/api';
  import Action from '../lib/shell/Action.svelte';
  import { FIELD } from '../lib/shell/fieldLook';
  import FileChoice from '../lib/shell/FileChoice.svelte';
  import { partName } from '../lib/shell/parts';
  import { NEW, type Fitting } from './fitting.svelte';

  /** A device that is fitted: its kind, and what of the program it holds. */
  interface Props {
    fitting: Fitting;
    plan: Plan;
    /** Takes a device whose kind is still to be made. */
    made: (device: string | undefined) => void;
  }
  let { fitting, plan, made }: Props = $props();

  const blob = (profile: DeviceProfile) =>
    `data:application/json;charset=utf-8,${encodeURIComponent(JSON.stringify(profile, null, 2))}`;

  async function own(event: Event & { currentTarget: HTMLInputElement }) {
    const input = event.currentTarget;
    const file = input.files?.[0];
    if (file) await fitting.take(file);
    // Emptied, so that the same file can be chosen again once it is mended.
    input.value = '';
  }

  function fit(event: SubmitEvent) {
    event.preventDefault();
    const isNew = fitting.kind === NEW;
    const fitted = fitting.fit();
    if (isNew) made(fitted);
  }
</script>

{#snippet holds(says: string, ids: string[], chosen: string, choose: (id: string) => void)}
  <label class="grid gap-1 text-sm text-soft"
    >{says}
    <select class={FIELD} value={chosen} onchange={(event) => choose(event.currentTarget.value)}>
      <option value="">none</option>
      {#each ids as id (id)}<option value={id}>{partName(plan, id)}</option>{/each}
    </select>
  </label>
{/snippet}

<form
  class="mt-3 grid max-w-2xl gap-3 border-l-4 border-ink bg-raised p-3"
  onsubmit={fit}
  aria-label="Fit a device"
>
  <div class="flex flex-wrap items-end gap-3">
    <label class="grid gap-1 text-sm text-soft"
      >kind of device
      <select class={FIELD} bind:value={fitting.kind}>
        {#each fitting.offered as one, i (i)}<option value={String(i)}>{one.name}</option>{/each}
        <option value={NEW}>a new kind, to be made</option>
      </select>
    </label>
    <FileChoice says="or one of your own (JSON)" accept=".json,application/json" take={own} />
    {#if fitting.chosen}
      <a
        class="flex min-h-11 items-center underline"
        href={blob(fitting.chosen)}
        download="{fitting.chosen.id}.json">Take this one as a start</a
      >
    {/if}
  </div>
  <label class="grid gap-1 text-sm text-soft"
    >what the crew calls it
    <input class={FIELD} bind:value={fitting.name} maxlength="120" placeholder={fitting.chosen?.name} />
  </label>
  {#if fitting.chosen && fitting.chosen.outputs > 0}
    <fieldset>
      <legend class="text-sm text-soft">outputs it switches, {fitting.chosen.outputs} at most</legend>
      {#each fitting.free as one (one.id)}
        <label class="flex min-h-9 items-center gap-2"
          ><input
            type="checkbox"
            class="size-5 accent-ink"
            value={one.id}
            bind:group={fitting.outputs}
            disabled={!fitting.outputs.includes(one.id) && fitting.outputs.length >= fitting.chosen.outputs}
          />{one.name}</label
        >
      {:else}<p>Every output is in a device already.</p>{/each}
    </fieldset>
  {/if}
  {#if fitting.sets('charging')}
    {@render holds(
      'charger whose setpoints it holds',
      fitting.chargers,
      fitting.charger,
      (id) => (fitting.charger = id),
    )}
  {/if}
  {#if fitting.sets('ac', 'inverter') && fitting.inverters.length > 0}
    {@render holds(
      'inverter whose levels and AC side it holds',
      fitting.inverters.map((one) => one.id),
      fitting.inverter,
      (id) => (fitting.inverter = id),
    )}
  {/if}
  {#if fitting.sets('monitor') && fitting.monitors.length > 0}
    {@render holds(
      'monitor whose settings it holds',
      fitting.monitors.map((one) => one.id),
      fitting.monitor,
      (id) => (fitting.monitor = id),
    )}
  {/if}
  <div class="flex gap-2">
    <Action main type="submit" disabled={!fitting.chosen}>Fit it</Action>
    <Action onclick={() => (fitting.open = false)}>Cancel</Action>
  </div>
</form>
