<script lang="ts">
  import type { FittedDevice, NotedKnob } from '../lib/api/api';
  import { FIELD } from '../lib/shell/fieldLook';
  import type { PlanEditor } from './planEditor.svelte';
  import OriginOf from './system/OriginOf.svelte';

  /** What an entry is that stands for nothing in the plan: chosen or typed, with where it comes from and a remark. */
  interface Props {
    editor: PlanEditor;
    device: FittedDevice;
    knob: NotedKnob;
    readonly: boolean;
  }
  let { editor, device, knob, readonly }: Props = $props();

  const given = $derived(device.noted.find((one) => one.id === knob.id));
  const label = $derived(`${knob.label} of ${device.name}`);
  let remarking = $state(false);

  function note(change: { value?: string; remark?: string }) {
    const { value, remark } = { value: given?.value ?? knob.usual, remark: given?.remark, ...change };
    const next = { id: knob.id, value, ...(remark ? { remark } : {}) };
    editor.set(
      ['program', 'devices', device.id, 'noted'],
      [...device.noted.filter((one) => one.id !== knob.id), next],
      () => `${label}: ${value}`,
    );
  }
</script>

<span class="flex flex-wrap items-center justify-end gap-x-2">
  <span class={readonly ? '' : 'hidden print:inline'}>{given?.value ?? knob.usual} {knob.unit}</span>
  {#if !readonly}
    {#if knob.choices.length > 0}
      <select
        class="{FIELD} max-w-40 font-bold max-sm:max-w-28 print:hidden"
        aria-label={label}
        value={given?.value ?? knob.usual}
        onchange={(event) => note({ value: event.currentTarget.value })}
      >
        {#each knob.choices as one (one.enter)}<option value={one.enter}>{one.enter}</option>{/each}
      </select>
    {:else}
      <input
        class="{FIELD} w-28 text-right font-bold print:hidden"
        aria-label={label}
        maxlength="120"
        value={given?.value ?? knob.usual}
        onchange={(event) => note({ value: event.currentTarget.value })}
      />
    {/if}
    <span class="print:hidden font-sans text-base font-normal [word-spacing:normal]">{knob.unit}</span>
    {#if given}
      <OriginOf {editor} path="program/devices/{device.id}/noted/{knob.id}/value" {label} {readonly} />
      <button
        class="no-print min-h-11 font-sans text-sm font-normal [word-spacing:normal] underline"
        aria-label="Remark on {label}"
        aria-expanded={remarking}
        onclick={() => (remarking = !remarking)}>{given?.remark ? 'remark' : '+ remark'}</button
      >
    {:else}
      <button
        class="no-print min-h-11 font-sans text-sm font-normal [word-spacing:normal] underline"
        aria-label="{label} is so: looked at"
        onclick={() => note({})}>looked at</button
      >
    {/if}
  {/if}
</span>
{#if remarking && !readonly}
  <input
    class="{FIELD} w-full text-left font-sans text-base font-normal [word-spacing:normal]"
    aria-label="Remark on {label}, in words"
    maxlength="300"
    value={given?.remark ?? ''}
    onchange={(event) => {
      note({ remark: event.currentTarget.value });
      remarking = false;
    }}
  />
{:else if given?.remark}
  <span class="block text-left font-sans text-sm font-normal [word-spacing:normal] text-soft"
    >{given.remark}</span
  >
{/if}
