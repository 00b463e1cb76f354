<script lang="ts">
  import type { Snippet } from 'svelte';
  import type { Problem } from '../lib/api/client';
  import type { DeviceHeld } from '../lib/api/api';
  import { day } from '../lib/sentence/quantity';
  import Action from '../lib/shell/Action.svelte';
  import Said from '../lib/shell/Said.svelte';
  import DeviceEntry from './DeviceEntry.svelte';
  import { DeviceRound, type Held } from './held.svelte';

  /** The menu of a device: what is to stand there, large, and what does; in turn it is read off and typed in. */
  interface Props {
    held: Held;
    device: DeviceHeld;
    /** What a part is called, by its id. */
    name: (id: string) => string;
    readonly: boolean;
    zone: string;
    /** Whether it is on a wire, and typing is for what does not lie on that. */
    wired?: boolean;
    /** Takes what it holds into the plan; what was refused is the answer. */
    takeOver: () => Promise<Problem | undefined>;
    /** What stands between its name and its menu. */
    children?: Snippet;
  }
  let { held, device, name, readonly, zone, wired = false, takeOver, children }: Props = $props();

  // A device keeps its place on the page as long as it is the same one.
  // svelte-ignore state_referenced_locally
  const round = new DeviceRound(held, device.id);
  let reading = $state(round.count > 0);
  let all = $state(false);
  let refused = $state.raw<Problem>();
  const hasDrifted = $derived(device.entries.some((entry) => entry.agreement === 'DRIFTED'));
  const calm = $derived(device.entries.filter((entry) => entry.agreement === 'SAME').length);
  const shown = $derived(
    reading || all ? device.entries : device.entries.filter((entry) => entry.agreement !== 'SAME'),
  );
  const hasMenu = $derived(device.entries.some((entry) => entry.menu));
  const columns = $derived(
    hasMenu
      ? 'md:grid-cols-[3.5rem_minmax(0,20rem)_8rem_minmax(0,1fr)]'
      : 'md:grid-cols-[minmax(0,20rem)_8rem_minmax(0,1fr)]',
  );

  function begins(i: number) {
    const entry = shown[i];
    return entry && entry.at !== device.id && entry.at !== shown[i - 1]?.at ? name(entry.at) : '';
  }

  async function save(event: SubmitEvent) {
    event.preventDefault();
    if (await round.keep()) reading = false;
  }
</script>

<section class="border-t border-rule px-4 py-5 md:px-6" aria-labelledby="held-{device.id}">
  <div class="flex flex-wrap items-baseline gap-x-4 gap-y-1">
    <h2 id="held-{device.id}">{device.name}</h2>
    <p class="grow text-soft">
      {device.profile}{device.first
        ? `; as found on ${day(device.first.at, zone)} by ${device.first.by}${device.readings > 1 ? `, read ${device.readings} times` : ''}`
        : ''}
    </p>
    <a
      class="no-print flex min-h-11 items-center underline"
      target="_blank"
      rel="noopener"
      href="/api/sites/{held.site}/revisions/{held.now?.revision}/devices/{device.id}/sheet"
      aria-label="Sheet as PDF: {device.name}">Sheet as PDF</a
    >
    {#if !readonly && !reading}
      <Action onclick={() => (reading = true)}
        >{wired ? `Type what ${device.name} shows` : `Read ${device.name}`}</Action
      >
    {/if}
  </div>
  {#if !reading}{@render children?.()}{/if}
  {#if reading}
    <p class="mt-2 text-soft">
      Type what the device shows, not what it should. What you do not look at stays empty.
    </p>
  {/if}
  <form onsubmit={save} novalidate>
    <p class="mt-3 grid gap-x-4 py-1 text-sm text-soft max-md:hidden {columns}" aria-hidden="true">
      {#if hasMenu}<span>menu</span>{/if}
      <span>entry</span>
      <span class="text-right">as planned</span>
      <span>{reading ? 'it shows' : 'when it was read'}</span>
    </p>
    <ul class="max-md:mt-3">
      {#each shown as entry, i (entry.place)}
        {@const part = begins(i)}
        {@const label = `${entry.label} of ${device.name}${part || entry.at !== device.id ? `, ${name(entry.at)}` : ''}`}
        {#if part}<li class="pt-4 pb-1 font-bold">{part}</li>{/if}
        <DeviceEntry {entry} {label} {round} {reading} {hasMenu} {columns} {zone} />
      {/each}
    </ul>
    {#if reading}
      <div class="mt-3 flex flex-wrap items-center gap-4 border-t border-rule pt-3">
        <Action main type="submit" disabled={round.count === 0 || round.busy}
          >{round.busy ? 'Keeping it' : `Keep ${round.count} of ${device.entries.length}`}</Action
        >
        <Action
          onclick={() => {
            round.leave();
            reading = false;
          }}>Leave it</Action
        >
        {#if round.problem && !device.entries.some((entry) => round.refusal(entry.place))}<Said
            problem={round.problem}
          />{/if}
      </div>
    {/if}
    {#if !reading && hasDrifted && !readonly}
      <div class="no-print mt-3 flex flex-wrap items-center gap-4">
        <Action class="whitespace-normal!" onclick={async () => (refused = await takeOver())}
          >Take what {device.name} holds into the plan</Action
        >
        <Said problem={refused} />
      </div>
    {/if}
    {#if !reading && calm > 0}
      <button
        type="button"
        class="no-print mt-2 min-h-11 underline"
        aria-expanded={all}
        onclick={() => (all = !all)}
        >{all ? 'Leave out' : 'Show'} the {calm} that {calm === 1 ? 'stands' : 'stand'} as planned</button
      >
    {/if}
  </form>
</section>
