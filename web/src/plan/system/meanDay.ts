import type { Trace } from '../../lib/api/api';

const HOURS = 24;
const SECONDS = 3600;

/** What the sun gave and what was used in each hour of a mean day (W). */
export interface MeanDay {
  sun: number[];
  used: number[];
}

/** The mean day of a trace whose run begins at midnight. What the sun gave is what went anywhere, less what came from elsewhere. */
export function meanDay(trace: Trace): MeanDay {
  const zeros = () => Array<number>(HOURS).fill(0);
  const [sun, used, counts] = [zeros(), zeros(), zeros()];
  const add = (to: number[], hour: number, more: number) => (to[hour] = (to[hour] ?? 0) + more);
  trace.usedWatts.forEach((one: unknown, i) => {
    if (typeof one !== 'number') return;
    const at = (values: unknown[]) => (typeof values[i] === 'number' ? values[i] : 0);
    const hour = Math.floor((trace.fromSeconds + (i + 0.5) * trace.bucketSeconds) / SECONDS) % HOURS;
    const went = one + at(trace.divertedWatts) + at(trace.toBatteryWatts);
    const elsewhere = at(trace.fromBatteryWatts) + at(trace.acSourceWatts);
    add(sun, hour, Math.max(0, went - elsewhere) + at(trace.thrownAwayWatts));
    add(used, hour, one);
    add(counts, hour, 1);
  });
  const mean = (all: number[]) => all.map((sum, hour) => sum / Math.max(1, counts[hour] ?? 1));
  return { sun: mean(sun), used: mean(used) };
}
