<script lang="ts">
  import DateField from '../lib/shell/DateField.svelte';
  import { day } from '../lib/sentence/quantity';
  import { FIELD } from '../lib/shell/fieldLook';
  import type { TypedDay } from './daily';

  /** A day that is typed: its date and the numbers a device keeps of it. */
  interface Props {
    one: TypedDay;
    change: (what: Partial<TypedDay>) => void;
    remove: () => void;
  }
  let { one, change, remove }: Props = $props();

  const FIELDS = [
    ['lowest', 'lowest, V'],
    ['highest', 'highest, V'],
    ['in', 'in, Wh'],
    ['out', 'out, Wh'],
  ] as const;
</script>

<div
  class="grid grid-cols-2 items-end gap-2 border-t border-rule pt-2 md:flex md:flex-wrap"
  role="group"
  aria-label={day(one.day)}
>
  <div class="max-md:col-span-2">
    <DateField label="day" value={one.day} required change={(next) => change({ day: next })} />
  </div>
  {#each FIELDS as [field, label] (field)}
    <label class="grid gap-1 text-sm text-soft"
      >{label}
      <input
        class="{FIELD} number w-full md:w-28"
        inputmode="decimal"
        autocomplete="off"
        value={one[field]}
        oninput={(event) => change({ [field]: event.currentTarget.value })}
      /></label
    >
  {/each}
  <button type="button" class="min-h-11 justify-self-start underline" onclick={remove}>leave it out</button>
</div>
