<script lang="ts">
  import type { DeviceProfile, Knob, Settable } from '../lib/api/api';
  import Action from '../lib/shell/Action.svelte';
  import { FIELD } from '../lib/shell/fieldLook';
  import { wordsOf } from '../lib/words';
  import { keyOf } from './deviceSheet';
  import { knobFor, notedKnob, settableOf } from './knobs';

  /** Adds an entry to a device's menu: one that sets something, or one that is only noted. */
  interface Props {
    profile: DeviceProfile;
    /** What an entry can set. */
    settables: Settable[];
    add: (knob: Knob) => void;
  }
  let { profile, settables, add }: Props = $props();

  let wanted = $state('');
  const free = $derived(settables.filter((one) => !profile.knobs.some((knob) => keyOf(knob) === one.name)));
  const isEntry = $derived(profile.knobs.some((knob) => keyOf(knob) === wanted.trim()));
  const chosen = $derived(isEntry ? undefined : settableOf(settables, wanted.trim()));

  function take(knob: Knob) {
    add(knob);
    wanted = '';
  }
</script>

<div class="mt-2 flex flex-wrap items-center gap-3 border-t border-rule pt-3">
  <input
    class="{FIELD} w-96 max-w-full"
    list="settables"
    aria-label="What the entry sets"
    placeholder="what it sets, such as charging.floatVolts"
    bind:value={wanted}
  />
  <Action disabled={!chosen} onclick={() => chosen && take(knobFor(chosen))}>Add the entry</Action>
  <Action onclick={() => take(notedKnob(profile))}>Add one that is only noted</Action>
  {#if wanted.trim() !== '' && !chosen}
    <p class="text-soft" role="status">
      {isEntry ? 'It is an entry already.' : 'No plan has that; choose from the list.'}
    </p>
  {/if}
</div>
<datalist id="settables">
  {#each free as one (one.name)}<option value={one.name}
      >{wordsOf(one.name.replaceAll('.', ' '))}{one.unit ? ` (${one.unit})` : ''}</option
    >{/each}
</datalist>
