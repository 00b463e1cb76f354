<script lang="ts">
  import type { Plan } from '../../lib/api/api';
  import Action from '../../lib/shell/Action.svelte';
  import { FIELD } from '../../lib/shell/fieldLook';
  import { withOther, type Use } from './uses';

  /** What is to become of each place that names a part before the part goes. */
  interface Props {
    plan: Plan;
    id: string;
    name: string;
    uses: Use[];
    /** Other parts of its kind that can be named instead. */
    others: { id: string; name: string }[];
    done: (plan: Plan) => void;
    leave: () => void;
  }
  let { plan, id, name, uses, others, done, leave }: Props = $props();

  let instead = $state<Record<string, string>>({});
  const key = (use: Use) => use.place.join('/');
  const undecided = $derived(uses.filter((use) => !use.optional && !instead[key(use)]));

  function remove(event: SubmitEvent) {
    event.preventDefault();
    if (undecided.length > 0) return;
    done(uses.reduce((next, use) => withOther(next, use, id, instead[key(use)] || undefined), plan));
  }
</script>

<form class="mt-3 border-l-4 border-caution p-3" aria-label="Remove {name}" onsubmit={remove}>
  <p><strong>{name}</strong> is named elsewhere. What is to stand there instead?</p>
  {#each uses as use (key(use))}
    <label class="mt-2 grid gap-1 text-sm text-soft"
      >{use.says}
      <select class={FIELD} bind:value={instead[key(use)]}>
        <option value=""
          >{use.optional ? 'nothing' : others.length > 0 ? 'choose another' : 'none is left'}</option
        >
        {#each others as other (other.id)}<option value={other.id}>{other.name}</option>{/each}
      </select>
    </label>
  {/each}
  {#if undecided.length > 0}
    <p class="mt-2 text-danger" role="alert">
      {undecided.length === 1 ? 'One place' : `${undecided.length} places`} must name another{others.length >
      0
        ? ''
        : ': add one first, or change what names this'}.
    </p>
  {/if}
  <div class="mt-3 flex gap-3">
    <Action type="submit" disabled={undecided.length > 0}>Remove it</Action>
    <Action onclick={leave}>Keep it</Action>
  </div>
</form>
