<script lang="ts">
  import type { DeviceLink, FittedDevice, Plan } from '../lib/api/api';
  import Action from '../lib/shell/Action.svelte';
  import { FIELD } from '../lib/shell/fieldLook';
  import type { PlanEditor } from './planEditor.svelte';

  /** Data lines between devices: each has two ends, which have to agree. */
  let { editor, plan, readonly }: { editor: PlanEditor; plan: Plan; readonly: boolean } = $props();

  const devices = $derived(plan.program.devices ?? []);
  const links = $derived(plan.program.links ?? []);
  const portsOf = (device: FittedDevice) => [
    ...new Set(device.profile.knobs.flatMap((one) => (one.kind === 'noted' ? (one.link?.port ?? []) : []))),
  ];
  /** All sockets of all devices. */
  const sockets = $derived(
    devices.flatMap((device) =>
      portsOf(device).map((port) => ({
        fitted: device.id,
        port,
        key: `${device.id} ${port}`,
        says: `${device.name}, ${port}`,
      })),
    ),
  );
  const said = (end: { fitted: string; port: string }) =>
    sockets.find((one) => one.fitted === end.fitted && one.port === end.port)?.says ??
    `${end.fitted}, ${end.port}`;
  let adding = $state(false);
  let from = $state('');
  let to = $state('');
  const one = $derived(sockets.find((each) => each.key === from));
  const other = $derived(sockets.find((each) => each.key === to));

  function put(next: DeviceLink[], says: string) {
    editor.set(['program', 'links'], next, () => says);
  }

  function add(event: SubmitEvent) {
    event.preventDefault();
    if (!one || !other || one.fitted === other.fitted) return;
    let number = links.length + 1;
    while (links.some((each) => each.id === `line-${number}`)) number++;
    const ends = [one, other].map(({ fitted, port }) => ({ fitted, port }));
    put([...links, { id: `line-${number}`, name: `data line ${number}`, ends }], `data line ${number} added`);
    adding = false;
    from = to = '';
  }
</script>

{#if sockets.length > 0}
  <section class="mt-8 border-t border-rule pt-3" aria-labelledby="lines">
    <div class="flex flex-wrap items-center gap-4">
      <h3 id="lines" class="grow">Data lines</h3>
      {#if !readonly && new Set(sockets.map((each) => each.fitted)).size > 1}
        <Action onclick={() => (adding = !adding)} aria-expanded={adding}>Add a data line…</Action>
      {/if}
    </div>
    {#if adding}
      <form
        class="mt-2 flex max-w-2xl flex-wrap items-end gap-3 border-l-4 border-ink bg-raised p-3"
        onsubmit={add}
        aria-label="Add a data line"
      >
        <label class="grid gap-1 text-sm text-soft"
          >from
          <select class={FIELD} aria-label="from" bind:value={from}>
            <option value=""></option>
            {#each sockets as each (each.key)}<option value={each.key}>{each.says}</option>{/each}
          </select></label
        >
        <label class="grid gap-1 text-sm text-soft"
          >to
          <select class={FIELD} aria-label="to" bind:value={to}>
            <option value=""></option>
            {#each sockets.filter((each) => each.fitted !== one?.fitted) as each (each.key)}
              <option value={each.key}>{each.says}</option>
            {/each}
          </select></label
        >
        <Action main type="submit" disabled={!one || !other || one.fitted === other.fitted}>Add it</Action>
        <Action onclick={() => (adding = false)}>Cancel</Action>
      </form>
    {/if}
    {#each links as link (link.id)}
      <p class="flex min-h-11 flex-wrap items-center gap-x-4">
        <span class="font-bold first-letter:uppercase">{link.name}</span>
        <span class="grow">{link.ends.map(said).join(' to ')}</span>
        {#if !readonly}
          <button
            class="min-h-11 underline"
            aria-label="Take {link.name} away"
            onclick={() =>
              put(
                links.filter((each) => each.id !== link.id),
                `${link.name} is away`,
              )}>take away</button
          >
        {/if}
      </p>
    {:else}
      <p class="mt-1 text-soft">
        None. Both ends of a line must speak the same protocol at the same speed, be terminated, and have
        addresses of their own.
      </p>
    {/each}
  </section>
{/if}
