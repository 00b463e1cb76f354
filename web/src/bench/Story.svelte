<script lang="ts">
  import type { LevelWalk } from '../lib/api/api';
  import { duration, fixed, told } from '../lib/sentence/quantity';
  import Action from '../lib/shell/Action.svelte';
  import { happened } from '../lib/tape/events';
  import type { Bench } from './bench.svelte';
  import Icon from '../lib/shell/Icon.svelte';

  /** The whole program walked once down and once up: each level as it was passed, and what happened there. */
  let { walk, bench, names }: { walk: LevelWalk; bench: Bench; names: Record<string, string> } = $props();

  const levels = $derived(walk.passed.flatMap((one) => one.levels));
  const silent = $derived(levels.filter((one) => !one.acted).length);
  const sign = { FALLING: 'falls', RISING: 'rises', HELD: 'holds' } as const;
  const after = (seconds: number) => (seconds < 1 ? 'at once' : `after ${duration(Math.round(seconds))}`);

  function put() {
    void bench.take(walk.script.turns, false, walk.endSeconds);
    window.scrollTo({ top: 0 });
  }
</script>

<section aria-labelledby="story" class="mt-4">
  <div class="flex flex-wrap items-center gap-4">
    <h3 id="story">Once down, once up</h3>
    <p class="grow text-soft" role="status">
      {levels.length} levels in {duration(Math.round(walk.endSeconds / 60) * 60)}, {silent === 0
        ? 'each of them acts'
        : `at ${silent} nothing happens`}. Battery at 25 °C, AC present. Simulated.
    </p>
    <Action onclick={put}>Put it on the bench</Action>
  </div>
  <ol class="mt-2 max-w-5xl">
    {#each walk.passed as one, i (i)}
      <li class="grid gap-x-6 border-t border-rule py-2 md:grid-cols-[6rem_minmax(12rem,1fr)_2fr]">
        <p class="number text-lg font-bold">
          {fixed(one.levels[0]?.level.value ?? 0, one.levels[0]?.level.unit === '%' ? 0 : 2)}
          {one.levels[0]?.level.unit}
        </p>
        <ul>
          {#each one.levels as { level, acted } (level.path)}
            <li class={acted ? '' : 'text-soft'}>
              <Icon sign={sign[level.acts]} /> <strong>{level.term}</strong>
              {level.name}{acted ? '' : ': nothing happened here'}
            </li>
          {/each}
        </ul>
        <ul>
          {#each one.events as event, k (k)}
            <li>
              <strong>{names[event.subject] ?? event.subject} {happened(event.kind)}</strong>
              <span class="text-soft"
                >{told(event.reason)}{event.seconds < one.seconds - 0.1
                  ? ', on the way'
                  : `, ${after(event.seconds - one.seconds)}`}</span
              >
            </li>
          {/each}
        </ul>
      </li>
    {/each}
  </ol>
</section>
