<script lang="ts">
  import { untrack } from 'svelte';
  import { capital, duration, minute } from '../lib/sentence/quantity';
  import Action from '../lib/shell/Action.svelte';
  import { FIELD } from '../lib/shell/fieldLook';
  import { partName } from '../lib/shell/parts';
  import type { PlanEditor } from '../plan/planEditor.svelte';
  import type { Recorded } from './recorded.svelte';
  import Icon from '../lib/shell/Icon.svelte';

  /** What the rules of a revision would have switched on what was recorded. */
  interface Props {
    recorded: Recorded;
    editor: PlanEditor;
    zone: string;
  }
  let { recorded, editor, zone }: Props = $props();

  const replay = $derived(recorded.replay);
  const newest = $derived(editor.revision?.number ?? 0);
  let revision = $state(untrack(() => editor.revision?.number));
  const name = (id: string) => (editor.plan ? partName(editor.plan, id) : id);
  const MOST = 60;
</script>

<section class="border-t border-rule px-4 py-5 md:px-6" aria-labelledby="replay">
  <h2 id="replay">What would have switched</h2>
  <p class="mt-1 max-w-3xl text-soft">
    The rules of a revision on the voltages, charges and temperatures that were recorded. The battery answered
    to what happened then: after the first difference the replay tells what the rules would have made of that
    day, no more.
  </p>
  <p class="mt-3 flex flex-wrap items-end gap-3">
    <label class="grid gap-1 text-sm text-soft"
      >revision
      <select class={FIELD} bind:value={revision}>
        {#each Array.from({ length: newest + 1 }, (_, i) => newest - i) as one (one)}
          <option value={one}>{one}{one === newest ? ', the newest' : ''}</option>
        {/each}
      </select>
    </label>
    <Action disabled={recorded.busy !== ''} onclick={() => recorded.replayIt(revision)}
      >Replay its rules</Action
    >
    {#if recorded.busy}<span class="text-soft" role="status">{recorded.busy}</span>{/if}
  </p>
  {#if replay}
    <ul class="mt-4 max-w-4xl">
      {#each replay.outputs as one (one.output)}
        <li class="border-t border-rule py-2">
          <p class="flex flex-wrap gap-x-4">
            <b>{capital(name(one.output))}</b>
            <span class="number"
              >would have closed {one.closings} ×, open {duration(Math.round(one.openSeconds / 60) * 60) ||
                '0 min'}</span
            >
            {#if one.recordedClosings !== undefined}<span class="number text-soft"
                >recorded {one.recordedClosings} ×</span
              >{/if}
          </p>
          {#if one.divergence}
            <p>
              <Icon sign="caution" /> first other than recorded at {minute(
                Date.parse(one.divergence.at),
                zone,
              )}: it would have been
              {one.divergence.wouldBeClosed ? 'closed' : 'open'}{one.divergence.reason
                ? `, ${one.divergence.reason}`
                : ''}
            </p>
          {/if}
          {#if one.cannotTell.length > 0}
            <p class="text-soft">cannot be told of it: {one.cannotTell.join(', ')} was not recorded</p>
          {/if}
        </li>
      {/each}
    </ul>
    {#if replay.events.length > 0}
      <details class="mt-2">
        <summary class="opens flex min-h-11 cursor-pointer items-center underline"
          >{replay.events.length + replay.eventsLeftOut} switchings</summary
        >
        <ol class="max-w-4xl text-sm">
          {#each replay.events.slice(0, MOST) as event, i (i)}
            <li class="grid gap-x-4 border-t border-rule py-1 md:grid-cols-[10rem_16rem_1fr]">
              <span class="number">{minute(Date.parse(replay.from) + event.seconds * 1000, zone)}</span>
              <span>{capital(name(event.subject))} {event.kind.toLowerCase()}</span>
              <span class="text-soft">{event.reason}</span>
            </li>
          {/each}
        </ol>
        {#if replay.events.length > MOST}<p class="text-sm">
            and {replay.events.length + replay.eventsLeftOut - MOST} more
          </p>{/if}
      </details>
    {:else}<p class="mt-2">Nothing would have switched.</p>{/if}
  {/if}
</section>
