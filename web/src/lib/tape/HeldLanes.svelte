<script lang="ts">
  import type { Held } from '../api/api';
  import { duration } from '../sentence/quantity';
  import { lanePath } from './lanes';
  import { LEFT, RIGHT } from './layout';

  /** When something kept a charger from charging, and what: hatched, one lane a charger that ever was. */
  interface Props {
    held: Held[];
    names: Record<string, string>;
    /** Which span of the lanes the cursor stands in. */
    at?: number | undefined;
  }
  let { held, names, at }: Props = $props();

  const REASONS: Record<Held['reasons'][number]['reason'], string> = {
    COLD: 'too cold',
    HEAT: 'too hot',
    OVER_VOLTAGE: 'over-voltage',
    SILENCE: 'the BMS does not talk',
    ENABLE: 'not enabled',
  };
  const MINUTE = 60;
  let width = $state(0);
  const inner = $derived(Math.max(1, width - LEFT - RIGHT));
  const long = ({ seconds }: Held) =>
    duration(seconds < MINUTE ? Math.round(seconds) : Math.round(seconds / MINUTE) * MINUTE);
</script>

<div bind:clientWidth={width} class="w-full">
  {#each held as one (one.subject)}
    {@const share = at === undefined ? 0 : (one.shares[at] ?? 0)}
    <p class="flex justify-between gap-4 px-2 pt-0.5 text-sm leading-5 text-soft">
      <span
        >Charging held: {names[one.subject] ?? one.subject}{#if share > 0}<span
            class="ml-3 font-bold text-ink"
            >{share >= 1 ? 'held' : `held for ${Math.round(share * 100)} % of it`}</span
          >{/if}</span
      >
      <span class="pr-3 tabular-nums"
        >{one.reasons.map((hold) => REASONS[hold.reason]).join(', ')}; {long(one)} in the run</span
      >
    </p>
    <svg class="block h-4 w-full" aria-hidden="true">
      <defs>
        <pattern
          id="held-{one.subject}"
          width="5"
          height="5"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        >
          <path d="M0 0V5" stroke="var(--caution)" stroke-width="3" />
        </pattern>
      </defs>
      <path d="M{LEFT} 15H{LEFT + inner}" stroke="var(--rule-strong)" stroke-dasharray="3 4" />
      <path
        d={lanePath(one.shares, LEFT, inner, 14)}
        fill="url(#held-{one.subject})"
        stroke="var(--caution)"
        stroke-width="0.75"
      />
    </svg>
  {/each}
</div>
