<script lang="ts">
  import type { AccountInList } from '../lib/api/api';
  import { FIELD } from '../lib/shell/fieldLook';
  import Menu from '../lib/shell/Menu.svelte';
  import { ROLES, type Role } from '../lib/shell/session.svelte';

  /** An account: who it is, what they may, and what can be done about it. */
  interface Props {
    one: AccountInList;
    change: (one: AccountInList, more: Partial<AccountInList>, says: string) => void;
    newLink: (one: AccountInList) => void;
    signOut: (one: AccountInList) => void;
    removeSecondFactor: (one: AccountInList) => void;
  }
  let { one, change, newLink, signOut, removeSecondFactor }: Props = $props();

  const whose = $derived(one.fullName);
</script>

<li class="flex flex-wrap items-center gap-x-4 gap-y-1 py-1.5 {one.active ? '' : 'text-soft'}">
  <p class="min-w-44 grow">
    <b class={one.active ? '' : 'line-through'}>{whose}</b>
    <span class="text-soft"
      >{one.name}{one.hasSecondFactor ? ', second factor' : ''}{one.active ? '' : ', disabled'}</span
    >
  </p>
  <select
    class="{FIELD} w-40"
    aria-label="Role of {whose}"
    value={one.role}
    onchange={(event) =>
      change(one, { role: event.currentTarget.value as Role }, `${whose} has another role.`)}
  >
    {#each ROLES as [key, word] (key)}<option value={key}>{word}</option>{/each}
  </select>
  <label class="flex min-h-11 w-44 items-center gap-2 text-sm"
    ><input
      type="checkbox"
      class="h-5 w-5"
      aria-label="{whose} may write to devices"
      disabled={one.role === 'OBSERVER'}
      checked={one.writesToDevices}
      onchange={(event) =>
        change(
          one,
          { writesToDevices: event.currentTarget.checked },
          `${whose} ${event.currentTarget.checked ? 'may' : 'may not'} write to devices.`,
        )}
    />writes to devices</label
  >
  <Menu label="More for {whose}">
    <button class="min-h-11 px-4 text-left hover:bg-sunk" onclick={() => newLink(one)}
      >Link for a new password…</button
    >
    <button class="min-h-11 px-4 text-left hover:bg-sunk" onclick={() => signOut(one)}
      >Sign out everywhere</button
    >
    {#if one.hasSecondFactor}
      <button class="min-h-11 px-4 text-left hover:bg-sunk" onclick={() => removeSecondFactor(one)}
        >Take the second factor away</button
      >
    {/if}
    <button
      class="min-h-11 px-4 text-left hover:bg-sunk"
      onclick={() =>
        change(
          one,
          { active: !one.active },
          `${whose} ${one.active ? 'is disabled, and signed out' : 'may sign in again'}.`,
        )}>{one.active ? 'Disable' : 'Enable'}</button
    >
  </Menu>
</li>
