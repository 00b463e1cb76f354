<script lang="ts">
  import type { Plan } from '../lib/api/api';
  import { factsOf } from './facts';

  /** What stands here, read only; guesses are marked. */
  let { plan }: { plan: Plan } = $props();

  const parts = $derived(factsOf(plan));
  const origins: Record<string, string> = {
    MAKERS_SHEET: 'maker’s sheet',
    STANDARD: 'standard',
    COMMON_PRACTICE: 'common practice',
    MEASURED: 'measured',
    GUESS: 'unconfirmed',
  };
</script>

<div class="grid grid-cols-1 gap-x-8 gap-y-6 px-4 py-5 sm:grid-cols-2 md:px-6 xl:grid-cols-3">
  {#each parts as part (part.kind + part.name)}
    <section>
      <h3 class="border-b border-rule pb-1">
        {part.name} <span class="ml-1 font-normal text-soft">{part.kind}</span>
      </h3>
      <dl class="mt-1">
        {#each part.facts as fact (fact.name)}
          {@const origin = fact.path ? plan.origins[fact.path] : undefined}
          <div class="grid grid-cols-[9rem_1fr] gap-x-2 py-0.5">
            <dt class="text-soft">{fact.name}</dt>
            <dd class="tabular-nums">
              {fact.value}
              {#if origin}
                <span
                  class="ml-1 text-sm whitespace-nowrap {origin.kind === 'GUESS'
                    ? 'font-bold text-caution'
                    : 'text-soft'}"
                  title={origin.note || undefined}
                >
                  {origins[origin.kind]}
                </span>
              {/if}
            </dd>
          </div>
        {/each}
      </dl>
    </section>
  {/each}
</div>
