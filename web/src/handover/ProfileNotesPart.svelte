<script lang="ts">
  import { day } from '../lib/sentence/quantity';
  import Action from '../lib/shell/Action.svelte';
  import { FIELD } from '../lib/shell/fieldLook';
  import Said from '../lib/shell/Said.svelte';
  import SeverityMark from '../lib/shell/SeverityMark.svelte';
  import type { ProfileNotes } from './profileNotes.svelte';

  /** What was seen at this kind of device, wherever that was; and another note. */
  interface Props {
    notes: ProfileNotes;
    device: string;
    /** What the kind is called. */
    profile: string;
    readonly: boolean;
    zone: string;
  }
  let { notes, device, profile, readonly, zone }: Props = $props();

  let writing = $state(false);
  let text = $state('');
  let firmware = $state('');

  async function add(event: SubmitEvent) {
    event.preventDefault();
    if (await notes.add(device, text, firmware.trim() || undefined)) {
      writing = false;
      text = firmware = '';
    }
  }
</script>

{#each notes.of(device) as note (note.id)}
  <p class="mt-2 max-w-3xl">
    <SeverityMark severity="NOTE" brief />
    {note.text}{note.firmware ? ` (from firmware ${note.firmware})` : ''}
    <span class="text-soft">{note.notedBy}, {day(note.notedAt, zone)}, of every {profile}</span>
    {#if !readonly}
      <button
        type="button"
        class="no-print min-h-11 underline"
        aria-label="take down: {note.text}"
        onclick={() => notes.withdraw(note)}>take down</button
      >
    {/if}
  </p>
{/each}
{#if notes.gone?.device === device}
  {@const gone = notes.gone}
  <p class="no-print mt-2" role="status">
    The note is taken down at every site.
    <button
      type="button"
      class="min-h-11 underline"
      onclick={() => notes.add(device, gone.text, gone.firmware)}>Put it back</button
    >
  </p>
{/if}
{#if !readonly}
  {#if writing}
    <form class="no-print mt-2 flex flex-wrap items-end gap-3" onsubmit={add} novalidate>
      <label class="grid grow gap-1"
        >seen at every {profile}
        <input class="{FIELD} w-full max-w-2xl" maxlength="500" autocomplete="off" bind:value={text} /></label
      >
      <label class="grid gap-1"
        >from firmware <input class="{FIELD} number w-28" placeholder="all" bind:value={firmware} /></label
      >
      <Action type="submit" disabled={text.trim() === ''}>Pin the note</Action>
      <Action onclick={() => (writing = false)}>Leave it</Action>
    </form>
  {:else}
    <button
      type="button"
      class="no-print min-h-11 self-start underline"
      aria-label="Pin a note to every {profile}"
      onclick={() => (writing = true)}>Pin a note to this kind of device</button
    >
  {/if}
{/if}
{#if notes.refused?.device === device}<Said problem={notes.refused.problem} />{/if}
