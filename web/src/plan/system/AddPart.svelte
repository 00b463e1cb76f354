<script lang="ts">
  import type { Plan } from '../../lib/api/api';
  import Action from '../../lib/shell/Action.svelte';
  import { hindrance, KINDS, type Kind } from './parts';

  /** What can be added to a site, and why what cannot be cannot. */
  let { plan, add }: { plan: Plan; add: (kind: Kind) => void } = $props();

  /** What cannot be added here, and why: said once for all that lack the same. */
  const hindered = $derived(
    [...new Set(KINDS.map((kind) => hindrance(plan, kind)).filter(Boolean))].map((why) => ({
      why,
      kinds: KINDS.filter((kind) => hindrance(plan, kind) === why).map((kind) => kind.name),
    })),
  );
</script>

<div
  class="mt-2 flex flex-wrap gap-2 border-l-4 border-ink bg-raised p-3"
  role="group"
  aria-label="Add a part"
>
  {#each KINDS.filter((kind) => !hindrance(plan, kind)) as kind (kind.name)}
    <Action onclick={() => add(kind)}>{kind.name}</Action>
  {/each}
  {#each hindered as { why, kinds } (why)}
    <p class="self-center text-sm text-soft">
      {kinds.join(', ')}: {why}.
    </p>
  {/each}
</div>
