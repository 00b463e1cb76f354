<script lang="ts">
  import type { SiteInList } from '../lib/api/api';
  import { fixed } from '../lib/sentence/quantity';

  /** The coming days in the smallest drawing: the lowest battery voltage of each, and the line at which a critical load is cut. */
  let { ahead }: { ahead: NonNullable<SiteInList['ahead']> } = $props();

  const WIDE = 160;
  const HIGH = 36;
  const EDGE = 4;
  const volts = $derived(ahead.outlook.lowestVoltsByDay);
  const lvd = $derived(ahead.outlook.disconnectVolts);
  const all = $derived([...volts, ...(lvd === undefined ? [] : [lvd])]);
  const least = $derived(Math.min(...all));
  const span = $derived(Math.max(Math.max(...all) - least, 0.01 * least));
  const y = (one: number) => HIGH - EDGE - ((one - least) / span) * (HIGH - 2 * EDGE);
  const x = (day: number) => EDGE + (day / Math.max(1, volts.length - 1)) * (WIDE - 2 * EDGE);
  const isCut = (one: number) => lvd !== undefined && one <= lvd + 0.02 * span;
  const said = $derived(
    `Lowest battery voltage a day, ${volts.length} days: from ${fixed(volts[0] ?? 0, 1)} to ${fixed(volts.at(-1) ?? 0, 1)} V` +
      (lvd === undefined ? '' : `; a critical load is cut at ${fixed(lvd, 1)} V`) +
      `. Simulated, in the middle one of ${ahead.outlook.weathers} weathers, from ${fixed(100 * ahead.startStateOfCharge, 0)} % of charge as assumed.`,
  );
</script>

<svg viewBox="0 0 {WIDE} {HIGH}" class="h-9 w-40" role="img" aria-label={said}>
  <title>{said}</title>
  {#if lvd !== undefined}
    <path d="M0 {y(lvd)}H{WIDE}" stroke="var(--danger)" stroke-width="1.25" stroke-dasharray="4 3" />
  {/if}
  <path
    d={volts.map((one, day) => `${day === 0 ? 'M' : 'L'}${x(day)} ${y(one)}`).join('')}
    fill="none"
    stroke="var(--battery)"
    stroke-width="2"
    stroke-linejoin="round"
  />
  {#each volts as one, day (day)}
    {#if isCut(one)}<circle cx={x(day)} cy={y(one)} r="2.5" fill="var(--danger)" />{/if}
  {/each}
</svg>
