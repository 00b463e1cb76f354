<script lang="ts">
  import type { Awaited, BenchState, Output, Plan } from '../lib/api/api';
  import ContactSymbol from '../lib/contact/ContactSymbol.svelte';
  import { believable, duration } from '../lib/sentence/quantity';
  import { actsOn } from '../lib/shell/parts';

  /** Outputs as contacts, a row each: how far it is to the next level, what it counts down, what it feeds, and a force for a test. */
  interface Props {
    outputs: BenchState['outputs'];
    plan: Plan;
    /** How far apart the ends of a scale of voltages are (V). */
    span: number;
    /** Brings the knob that moves what a contact waits for onto the scale. */
    bring: (knob: string) => void;
    /** Forces an output; absent for who may only look. */
    force?: (index: number, to: Output['testForce']) => void;
  }
  let { outputs, plan, span, bring, force }: Props = $props();

  const away = (one: Awaited) => Math.abs(one.value - one.reads);
  const share = (one: Awaited) => away(one) / (one.percent ? 100 : span);
  const isPassed = (one: Awaited) => (one.falling ? one.reads <= one.value : one.reads >= one.value);
  /** The level that is nearest by its share of the scale. */
  const nearest = (all: Awaited[]) => [...all].sort((a, b) => share(a) - share(b))[0];

  function says(one: Awaited): string {
    const unit = one.percent ? '%' : 'V';
    const level = `${one.term} ${believable(one.value)} ${unit}`;
    if (isPassed(one)) return `past ${level}`;
    const distance = `${believable(Math.round(away(one) * 100) / 100)} ${unit}`;
    return `${distance} ${one.falling ? 'above' : 'below'} ${level}`;
  }
</script>

<ul>
  {#each outputs as one, index (one.output)}
    {@const output = plan.program.outputs[index]}
    {@const name = output?.name ?? one.output}
    {@const next = nearest(one.awaited)}
    {@const countdown = one.countdowns[0]}
    <li class="flex items-center gap-x-3 border-b border-rule max-sm:items-start max-sm:py-1">
      <button
        class="flex min-h-14 min-w-0 grow basis-0 items-center gap-x-3 text-left max-sm:flex-wrap {next?.knob
          ? 'hover:bg-raised'
          : 'cursor-default'}"
        title={one.whyNot}
        onclick={() => next?.knob && bring(next.knob)}
      >
        <ContactSymbol closed={one.closed} label={name} />
        <span class="min-w-0 grow max-sm:basis-24">
          <span class="flex items-baseline gap-2">
            <strong class="truncate">{name}</strong>
            <span class="shrink-0 text-sm {one.chatters ? 'font-bold text-danger' : 'text-soft'}"
              >{one.chatters ? 'chatters' : one.closed ? 'closed' : 'open'}</span
            >
          </span>
          <span class="block truncate text-sm text-soft">{output ? actsOn(plan, output.loads) : ''}</span>
        </span>
        <span class="w-60 shrink-0 max-sm:w-full">
          {#if countdown}
            <span class="number block text-xl leading-6 font-bold"
              >{duration(Math.round(countdown.remainingSeconds * 10) / 10)}</span
            >
            <span class="block truncate text-sm text-soft">{countdown.what}</span>
          {:else if next}
            <svg class="block h-3 w-full" viewBox="0 0 100 8" preserveAspectRatio="none" aria-hidden="true">
              <rect width="100" height="8" fill="var(--paper-sunk)" />
              <rect
                width={100 * Math.max(0, 1 - share(next))}
                height="8"
                fill={isPassed(next) ? 'var(--ink)' : 'var(--battery)'}
              />
            </svg>
            <span class="mt-0.5 block truncate text-sm tabular-nums">{says(next)}</span>
          {:else}<span class="block text-sm text-soft">{one.whyNot}</span>{/if}
        </span>
      </button>
      {#if output && force}
        <select
          class="force {output.testForce === 'NONE' ? '' : 'font-bold text-danger'}"
          value={output.testForce}
          aria-label="Test force of {name}"
          onchange={(event) => force(index, event.currentTarget.value as Output['testForce'])}
        >
          <option value="NONE">no force</option>
          <option value="OPEN">force open</option>
          <option value="CLOSED">force closed</option>
        </select>
      {/if}
    </li>
  {:else}<li class="py-3 text-soft">No output is programmed here yet.</li>{/each}
</ul>
