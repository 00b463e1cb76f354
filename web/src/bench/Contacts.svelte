<script lang="ts">
  import type { BenchState, Output } from '../lib/api/api';
  import ContactSymbol from '../lib/contact/ContactSymbol.svelte';
  import { duration } from '../lib/sentence/quantity';
  import { FIELD } from '../lib/shell/fieldLook';
  import { actsOn } from '../lib/shell/parts';
  import type { Plan } from '../lib/api/api';

  /** Outputs as contacts: what they feed, what they count down, why they stay, and a force for a test. */
  interface Props {
    outputs: BenchState['outputs'];
    plan: Plan;
    /** Forces an output; absent for who may only look. */
    force?: (index: number, to: Output['testForce']) => void;
  }
  let { outputs, plan, force }: Props = $props();
</script>

<ul>
  {#each outputs as one, index (one.output)}
    {@const output = plan.program.outputs[index]}
    {@const name = output?.name ?? one.output}
    <li class="border-b border-rule py-3">
      <div class="flex items-center gap-4">
        <ContactSymbol closed={one.closed} label={name} />
        <p class="min-w-0 grow">
          <strong>{name}</strong>
          {#if output}<span class="block text-sm text-soft">{actsOn(plan, output.loads)}</span>{/if}
        </p>
        <p class={one.chatters ? 'font-bold text-danger' : ''}>
          {one.chatters ? 'chatters' : one.closed ? 'closed' : 'open'}
        </p>
      </div>
      {#each one.countdowns as countdown (countdown.what)}
        <p class="flex justify-between gap-4 text-sm">
          <span class="text-soft">{countdown.what}</span>
          <span class="number font-bold">{duration(Math.round(countdown.remainingSeconds * 10) / 10)}</span>
        </p>
      {/each}
      {#if one.whyNot}<p class="text-sm text-soft">{one.whyNot}</p>{/if}
      {#if output && force}
        <label class="mt-1 flex items-center gap-2 text-sm text-soft"
          >test force
          <select
            class={FIELD}
            value={output.testForce}
            aria-label="Test force of {name}"
            onchange={(event) => force(index, event.currentTarget.value as Output['testForce'])}
          >
            <option value="NONE">none</option>
            <option value="OPEN">open</option>
            <option value="CLOSED">closed</option>
          </select>
        </label>
      {/if}
    </li>
  {:else}<li class="py-3 text-soft">No output is programmed here yet.</li>{/each}
</ul>
