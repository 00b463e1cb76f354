import type { Trace } from '../../lib/api/api';

/** How the AC side stands in a span of a run: shares of it (fraction) in which AC was there, the sun enough, the battery above its level. */
export interface Standing {
  acPresent: number;
  sunEnough: number;
  aboveLevel: number;
}

/** Of a span of a trace; undefined beyond the run, or where the site has no inverter. */
export function standingAt(trace: Trace, bucket: number): Standing | undefined {
  const of = (shares: unknown[]) => shares[bucket];
  const [ac, sun, above] = [of(trace.acPresent), of(trace.sunEnough), of(trace.aboveLevel)];
  return typeof ac === 'number' && typeof sun === 'number' && typeof above === 'number'
    ? { acPresent: ac, sunEnough: sun, aboveLevel: above }
    : undefined;
}

const part = (share: number, is: boolean) => (is ? share : 1 - share);

/** The share of a span in which one case holds: with AC present, the sun enough or not, the battery above its level or not. */
export const shareOf = ({ acPresent, sunEnough, aboveLevel }: Standing, sun: boolean, above: boolean) =>
  acPresent * part(sunEnough, sun) * part(aboveLevel, above);

/** The share of a whole trace in which a case holds. */
export function shareOfAll(trace: Trace, sun: boolean, above: boolean): number {
  const all = trace.acPresent.flatMap((_, i) => standingAt(trace, i) ?? []);
  return all.length === 0 ? 0 : all.reduce((sum, one) => sum + shareOf(one, sun, above), 0) / all.length;
}

/** The case that holds for most of a span; undefined while AC is away for most of it. */
export function mostOf(standing: Standing): { sun: boolean; above: boolean } | undefined {
  if (standing.acPresent < 0.5) return undefined;
  return { sun: standing.sunEnough >= 0.5, above: standing.aboveLevel >= 0.5 };
}
