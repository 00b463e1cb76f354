<script lang="ts">
  import { api, outcome, type Outcome } from '../lib/api/client';
  import type { CommissioningView, StepPhoto, WorkStep } from '../lib/api/api';
  import { day } from '../lib/sentence/quantity';
  import FileChoice from '../lib/shell/FileChoice.svelte';
  import { base64, smaller } from '../lib/shell/photos';

  /** Photos of a step: looked at, taken, taken away and put back. */
  interface Props {
    site: string;
    step: WorkStep;
    round: number;
    photos: StepPhoto[];
    readonly: boolean;
    zone: string;
    take: (call: Promise<Outcome<CommissioningView>>) => Promise<boolean>;
  }
  let { site, step, round, photos, readonly, zone, take }: Props = $props();

  const path = $derived({ siteId: site });
  const address = (photo: StepPhoto) => `/api/sites/${site}/commissioning/photos/${photo.id}`;
  let sending = $state(false);
  let unreadable = $state('');
  /** A photo that was taken away, to be put back. */
  let gone = $state.raw<Blob>();

  async function send(picture: Blob) {
    sending = true;
    const body = { id: crypto.randomUUID(), round, step: step.id, picture: await base64(picture) };
    const kept = await take(
      outcome(api.POST('/api/sites/{siteId}/commissioning/photos', { params: { path }, body })),
    );
    sending = false;
    if (kept) gone = undefined;
  }

  async function chosen(event: Event & { currentTarget: HTMLInputElement }) {
    const [file] = event.currentTarget.files ?? [];
    event.currentTarget.value = '';
    if (!file) return;
    unreadable = '';
    try {
      await send(await smaller(file));
    } catch {
      unreadable = `${file.name} is no photo that can be read here: JPEG and PNG are taken.`;
    }
  }

  async function remove(photo: StepPhoto) {
    const picture = await fetch(address(photo)).then((answer) => (answer.ok ? answer.blob() : undefined));
    const removed = await take(
      outcome(
        api.DELETE('/api/sites/{siteId}/commissioning/photos/{photo}', {
          params: { path: { ...path, photo: photo.id } },
        }),
      ),
    );
    if (removed) gone = picture;
  }
</script>

{#if photos.length > 0}
  <ul class="flex flex-wrap gap-2">
    {#each photos as photo, i (photo.id)}
      <li class="grid gap-1">
        <a href={address(photo)} target="_blank" rel="noopener"
          ><img
            class="h-24 w-32 object-cover"
            loading="lazy"
            src={address(photo)}
            alt="{i + 1} of {photos.length} of: {step.what}"
          /></a
        >
        <span class="text-sm text-soft">{photo.takenBy}, {day(photo.takenAt, zone)}</span>
        {#if !readonly}
          <button
            type="button"
            class="no-print min-h-11 justify-self-start underline"
            aria-label="take away photo {i + 1}: {step.what}"
            onclick={() => remove(photo)}>take away</button
          >
        {/if}
      </li>
    {/each}
  </ul>
{/if}
{#if !readonly && round > 0}
  <p class="no-print flex flex-wrap items-center gap-x-4">
    {#if sending}<span class="text-soft" role="status">Sending the photo</span>
    {:else}<FileChoice says="add a photo" accept="image/jpeg,image/png" take={chosen} />{/if}
    {#if gone}
      {@const picture = gone}
      <button type="button" class="min-h-11 underline" onclick={() => send(picture)}
        >put the photo back</button
      >
    {/if}
    {#if unreadable}<span class="text-danger" role="alert">{unreadable}</span>{/if}
  </p>
{/if}
