<script lang="ts">
  import type { ByHand, Plan } from '../lib/api/api';
  import Action from '../lib/shell/Action.svelte';
  import DateField from '../lib/shell/DateField.svelte';
  import { FIELD } from '../lib/shell/fieldLook';
  import { clockOf, minuteOf, requestSays } from './byHand';
  import type { Conditions } from './conditions.svelte';

  /** What somebody does by hand in a run: presses a button that a rule waits for, resets a lockout. */
  interface Props {
    asked: Conditions;
    plan: Plan;
    /** What a rule or a lockout of the plan waits for. */
    requests: string[];
  }
  let { asked, plan, requests }: Props = $props();

  const EIGHT = 8 * 60;

  function put(at: number, change: Partial<ByHand>) {
    asked.byHand = asked.byHand.map((one, i) => (i === at ? { ...one, ...change } : one));
  }

  function add() {
    const [request] = requests;
    if (request)
      asked.byHand = [...asked.byHand, { request, on: asked.from, minuteOfDay: EIGHT, minutes: 1 }];
  }
</script>

<fieldset class="text-sm">
  <legend class="font-bold">Done by hand meanwhile</legend>
  <ul>
    {#each asked.byHand as one, i (i)}
      <li class="flex flex-wrap items-end gap-3 py-1">
        <label class="flex flex-col"
          >what is done<select
            class="{FIELD} max-w-72"
            aria-label="what is done"
            value={one.request}
            onchange={(event) => put(i, { request: event.currentTarget.value })}
          >
            {#each requests as request (request)}<option value={request}>{requestSays(plan, request)}</option
              >{/each}
          </select></label
        >
        <DateField label="on" required value={one.on} change={(on) => put(i, { on })} />
        <label class="flex flex-col"
          >at what time<input
            class="{FIELD} number"
            type="time"
            required
            value={clockOf(one.minuteOfDay)}
            onchange={(event) => {
              const minuteOfDay = minuteOf(event.currentTarget.value);
              if (minuteOfDay === undefined) event.currentTarget.value = clockOf(one.minuteOfDay);
              else put(i, { minuteOfDay });
            }}
          /></label
        >
        <label class="flex flex-col"
          >for, min<input
            class="{FIELD} number w-24"
            type="number"
            min="0.1"
            max="10080"
            step="any"
            required
            value={one.minutes}
            onchange={(event) => {
              const input = event.currentTarget;
              if (input.validity.valid) put(i, { minutes: input.valueAsNumber });
              else input.reportValidity();
            }}
          /></label
        >
        <Action
          aria-label="Leave out: {requestSays(plan, one.request)}"
          onclick={() => (asked.byHand = asked.byHand.filter((_, other) => other !== i))}>Leave out</Action
        >
      </li>
    {/each}
  </ul>
  <p class="mt-1"><Action onclick={add}>Do something by hand…</Action></p>
</fieldset>
