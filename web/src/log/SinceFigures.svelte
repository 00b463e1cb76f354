<script lang="ts">
  import type { History, Plan } from '../lib/api/api';
  import { day, decimal, energy, fixed } from '../lib/sentence/quantity';
  import { partName } from '../lib/shell/parts';

  /** What was recorded, in figures: by night, of the arrays, thrown away, used, and contact by contact. */
  let { history, plan }: { history: History; plan: Plan } = $props();
</script>

<dl class="grid gap-x-8 gap-y-4 px-4 py-5 md:grid-cols-2 md:px-6 lg:grid-cols-3">
  {#if history.nights}
    {@const nights = history.nights}
    <div>
      <dt class="text-soft">drawn by night</dt>
      <dd class="number text-2xl font-bold">{fixed(nights.watts, 0)} W</dd>
      {#if nights.crept}<dd>
          {nights.crept.afterWatts > nights.crept.beforeWatts ? 'rose' : 'fell'} from
          {fixed(nights.crept.beforeWatts, 0)} to {fixed(nights.crept.afterWatts, 0)} W on {day(
            nights.crept.since,
          )}
        </dd>{/if}
      {#if nights.beyond}<dd>
          {fixed(nights.beyond.measuredWatts - nights.beyond.plannedWatts, 0)} W beyond the plan’s loads of that
          hour{nights.beyond.explanations.length > 0
            ? `: ${nights.beyond.explanations.map((one) => one.join(' and ')).join(', or ')} would explain it`
            : ''}
        </dd>{/if}
    </div>
  {/if}
  {#if history.flat}
    {@const flat = history.flat}
    <div>
      <dt class="text-soft">arrays at one number</dt>
      <dd class="number text-2xl font-bold">{fixed(flat.watts, 0)} W</dd>
      <dd>
        {flat.spans}
        {flat.spans === 1 ? 'time' : 'times'}, {decimal(flat.hours, 1)} h in all, with more sun at hand:
        {flat.explainedBy ??
          `${decimal(flat.batteryAmperes, 1)} A at the battery, which no limit of the plan explains`}
      </dd>
    </div>
  {/if}
  {#if history.yield}
    {@const all = history.yield}
    <div>
      <dt class="text-soft">thrown away, reckoned</dt>
      <dd class="number text-2xl font-bold">{energy(all.thrownAwayWattHours)}</dd>
      <dd>
        of it a diversion load would have used
        {all.diversion.map((one) => `${one.watts} W: ${energy(one.wattHours)}`).join('; ')}
      </dd>
    </div>
  {/if}
  {#if history.use}
    <div>
      <dt class="text-soft">used at most in 95 % of {history.use.nights} nights</dt>
      <dd class="number text-2xl font-bold">{fixed(history.use.used * 100, 0)} %</dd>
      <dd>
        {history.use.floor === undefined
          ? 'too few for a floor: 30 nights at least'
          : `with ${fixed(history.use.reserve * 100, 0)} % in reserve a floor of ${fixed(history.use.floor * 100, 0)} % leaves enough`}
      </dd>
    </div>
  {/if}
  {#each history.contacts as one (one.output)}
    <div>
      <dt class="text-soft">{partName(plan, one.output)}</dt>
      <dd class="number text-2xl font-bold">{one.closings} ×</dd>
      <dd>
        closed, {decimal(one.aDay, 1)} a day; open {decimal(one.openHours, 1)} h{one.unservedWattHours
          ? `, without ${energy(one.unservedWattHours)} that the plan’s loads use in that time`
          : ''}{one.yearsLeft === undefined
          ? ''
          : `; worn out in ${decimal(one.yearsLeft, 1)} years at this pace`}
      </dd>
    </div>
  {/each}
</dl>
