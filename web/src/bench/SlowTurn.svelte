<script lang="ts">
  import Action from '../lib/shell/Action.svelte';
  import { believable, typed } from '../lib/sentence/quantity';
  import { FIELD } from '../lib/shell/fieldLook';
  import type { NamedSignal } from '../lib/api/api';
  import type { Bench } from './bench.svelte';

  /** Turns a knob evenly: from where it stands or from what is told, to a value, over a time; the rate is told along. */
  let { bench, knobs }: { bench: Bench; knobs: NamedSignal[] } = $props();

  const MINUTE = 60;
  let wanted = $state('battery_volts');
  let from = $state('');
  let to = $state('');
  let over = $state('2 min');
  let trouble = $state('');
  const chosen = $derived(knobs.find((one) => one.id === wanted) ?? knobs[0]);
  const knob = $derived(chosen?.id ?? '');
  const scale = $derived(chosen?.shownTimes ?? 1);
  const unit = $derived(chosen?.unit ?? '');
  const stands = $derived((bench.state?.knobs[knob] ?? 0) * scale);
  const first = $derived(from.trim() === '' ? stands : typed(from, unit));
  const last = $derived(typed(to, unit));
  const seconds = $derived(typed(over, 's'));
  const rate = $derived(
    first !== undefined && last !== undefined && seconds !== undefined && seconds > 0
      ? `${believable(((last - first) / seconds) * MINUTE)} ${unit} a minute`
      : '',
  );

  async function turn(event: SubmitEvent) {
    event.preventDefault();
    const bad = first === undefined ? from : last === undefined ? to : undefined;
    trouble =
      bad !== undefined
        ? `“${bad}” is not a number`
        : seconds === undefined || seconds <= 0
          ? `“${over}” is not a time, such as 90 s or 2 min`
          : '';
    if (trouble !== '' || first === undefined || last === undefined || seconds === undefined) return;
    await bench.turn(knob, last / scale, seconds, from.trim() === '' ? undefined : first / scale);
  }
</script>

{#snippet field(name: string, label: string, value: string, put: (text: string) => void, hint = '')}
  <label class="grid min-w-0 gap-1 text-sm text-soft"
    >{name}<input
      class="{FIELD} w-full min-w-0 px-2"
      inputmode={name === 'over' ? 'text' : 'decimal'}
      {value}
      placeholder={hint}
      oninput={(event) => put(event.currentTarget.value)}
      aria-label={label}
    /></label
  >
{/snippet}

<form class="mt-4 grid grid-cols-1 gap-2 border-t border-rule pt-3" onsubmit={turn} aria-label="Slow turn">
  <h3>Slow turn</h3>
  <select
    class="{FIELD} w-full min-w-0"
    aria-label="Knob to turn slowly"
    value={knob}
    onchange={(event) => (wanted = event.currentTarget.value)}
  >
    {#each knobs as one (one.id)}<option value={one.id}>{one.name}</option>{/each}
  </select>
  <div class="grid grid-cols-3 gap-2">
    {@render field('from', 'Turn slowly from', from, (text) => (from = text), believable(stands))}
    {@render field('to', 'Turn slowly to', to, (text) => (to = text))}
    {@render field('over', 'Over what time', over, (text) => (over = text))}
  </div>
  {#if rate}<p class="number text-sm text-soft">{rate}</p>{/if}
  {#if trouble}<p class="text-sm text-danger" role="alert">{trouble}</p>{/if}
  <Action type="submit">Turn</Action>
</form>
