<script lang="ts">
  import type { FittedDevice } from '../lib/api/api';
  import { FIELD } from '../lib/shell/fieldLook';
  import type { PlanEditor } from './planEditor.svelte';

  /** What stands on a device's plate, and what saving its settings takes. */
  let { editor, device, readonly }: { editor: PlanEditor; device: FittedDevice; readonly: boolean } =
    $props();

  const place = $derived(`program/devices/${device.id}`);
  const refusal = (field: string) =>
    editor.refused.find((one) => one.pointer === `/${place}/${field}`)?.detail;

  function put(field: 'serial' | 'firmware', text: string) {
    const value = text.trim() === '' ? undefined : text.trim();
    const { [field]: before, ...others } = device;
    editor.set(
      ['program', 'devices', device.id],
      value === undefined ? others : { ...others, [field]: value },
      () => `${field} of ${device.name} ${before ?? 'not read'} → ${value ?? 'not read'}`,
    );
  }
</script>

{#snippet plate(field: 'serial' | 'firmware', says: string)}
  {@const error = refusal(field)}
  <label class="flex flex-wrap items-center gap-2 text-soft"
    >{says}
    {#if readonly}<span class="number text-ink">{device[field] ?? 'not read'}</span>
    {:else}<input
        class="{FIELD} w-36"
        aria-label="{says} of {device.name}"
        aria-invalid={error ? 'true' : undefined}
        maxlength="120"
        placeholder="not read"
        value={device[field] ?? ''}
        onchange={(event) => put(field, event.currentTarget.value)}
      />{/if}
    {#if error}<span class="text-danger" role="alert">{error}</span>{/if}
  </label>
{/snippet}

<div class="mt-1 flex flex-wrap items-center gap-x-6 gap-y-1">
  {@render plate('serial', 'serial number')}
  {@render plate('firmware', 'firmware')}
</div>
<p class="mt-1">
  <span class="text-soft">Saved</span>
  {device.profile.saving}; <span class="text-soft">seen by:</span>
  {device.profile.showing}.
  {#if device.profile.dropping}
    <span class="block font-bold text-caution">While it saves: {device.profile.dropping}.</span>
  {/if}
</p>
