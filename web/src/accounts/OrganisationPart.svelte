<script lang="ts">
  import { api, outcome, type Problem } from '../lib/api/client';
  import type { Organisation } from '../lib/api/api';
  import { FIELD } from '../lib/shell/fieldLook';
  import Said from '../lib/shell/Said.svelte';
  import { session } from '../lib/shell/session.svelte';

  /** What holds for everybody: name, second factor, networks of devices, days without a network. */
  interface Props {
    organisation: Organisation;
    taken: (next: Organisation) => void;
  }
  let { organisation: ours, taken }: Props = $props();

  let refused = $state.raw<Problem>();

  async function set(next: Organisation) {
    const answer = await outcome(api.PUT('/api/organisation', { body: next }));
    // What was refused stands as it was.
    taken(answer.data ?? { ...ours });
    refused = answer.problem;
    if (answer.data) await session.load();
  }
</script>

<section class="mt-8 grid gap-3" aria-label="Organisation">
  <h2>Organisation</h2>
  <Said problem={refused} />
  <label class="flex flex-wrap items-center gap-3"
    >Name
    <input
      class="{FIELD} w-72"
      maxlength="120"
      value={ours.name}
      onchange={(event) => set({ ...ours, name: event.currentTarget.value })}
    /></label
  >
  <label class="flex min-h-11 items-center gap-2"
    ><input
      type="checkbox"
      class="h-5 w-5"
      checked={ours.secondFactorRequired}
      onchange={(event) => set({ ...ours, secondFactorRequired: event.currentTarget.checked })}
    />everybody needs a second factor to sign in</label
  >
  <label class="flex flex-wrap items-center gap-3"
    >Networks in which devices may be reached
    <input
      class="{FIELD} number w-72"
      placeholder="none, or 192.168.4.0/24"
      value={ours.deviceNetworks}
      onchange={(event) => set({ ...ours, deviceNetworks: event.currentTarget.value })}
    /></label
  >
  <label class="flex flex-wrap items-center gap-3"
    >Sites that are taken along open without a network for
    <input
      class="{FIELD} number w-24"
      type="number"
      min="0"
      max="90"
      value={ours.offlineDays}
      onchange={(event) => set({ ...ours, offlineDays: event.currentTarget.valueAsNumber })}
    />days</label
  >
</section>
