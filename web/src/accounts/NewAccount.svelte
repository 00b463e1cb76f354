<script lang="ts">
  import { api, outcome, type Problem } from '../lib/api/client';
  import type { NewLink } from '../lib/api/api';
  import Action from '../lib/shell/Action.svelte';
  import { FIELD } from '../lib/shell/fieldLook';
  import Said from '../lib/shell/Said.svelte';
  import { ROLES, type Role } from '../lib/shell/session.svelte';

  /** A new account; its link to set a password with goes to who made it, once. */
  let { made }: { made: (whose: string, link: NewLink) => void } = $props();

  let name = $state('');
  let fullName = $state('');
  let role = $state<Role>('TECHNICIAN');
  let refused = $state.raw<Problem>();

  async function make(event: SubmitEvent) {
    event.preventDefault();
    const standing = { fullName: fullName.trim(), role, writesToDevices: false, active: true };
    const answer = await outcome(api.POST('/api/accounts', { body: { name: name.trim(), standing } }));
    refused = answer.problem;
    if (answer.data) made(standing.fullName, answer.data);
  }
</script>

<form class="mb-5 flex flex-wrap items-end gap-3 border-l-4 border-ink bg-raised p-4" onsubmit={make}>
  <label class="grid gap-1 font-bold"
    >Full name <input
      class="{FIELD} w-60 font-normal"
      required
      maxlength="120"
      bind:value={fullName}
    /></label
  >
  <label class="grid gap-1 font-bold"
    >Signs in as
    <input
      class="{FIELD} w-44 font-normal"
      required
      autocapitalize="none"
      placeholder="a to z, 0 to 9"
      bind:value={name}
    /></label
  >
  <label class="grid gap-1 font-bold"
    >Role
    <select class="{FIELD} font-normal" bind:value={role}>
      {#each ROLES as [key, word] (key)}<option value={key}>{word}</option>{/each}
    </select></label
  >
  <Action main type="submit">Make it</Action>
</form>
<Said problem={refused} />
