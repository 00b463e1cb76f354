import { atPlace, placeOf } from '../plan/planPath';
import type { Gauge, Peg as PegReading, Plan } from '../api/api';

/** The temperature about which levels are compensated (°C). */
export const REFERENCE_CELSIUS = 25;

/** What an axis is marked in. */
export type Unit = 'V' | '%' | '°C';

/** A level on the axis: as programmed in the plan being edited, and where it stands at a temperature. */
export interface Peg extends PegReading {
  stands: number;
}

/** Two pegs of one rule, joined by their band. */
export interface Pair {
  key: string;
  low: number;
  high: number;
}

/** A level (V at 25 °C) as it is at a battery temperature, with ceiling and floor. */
export function moved(peg: PegReading, value: number, celsius: number): number {
  const there = value + peg.voltsPerKelvin * (celsius - REFERENCE_CELSIUS);
  if (peg.voltsPerKelvin === 0) return value;
  return Math.max(peg.floorVolts ?? -Infinity, Math.min(peg.ceilingVolts ?? Infinity, there));
}

/**
 * The levels of one unit, and the pairs among them. What is a level the server says; the numbers are those of the plan being
 * edited, so that a peg moves before the server has answered.
 */
export function pegsOf(
  gauge: Gauge | undefined,
  plan: Plan,
  unit: Unit = 'V',
  celsius = REFERENCE_CELSIUS,
): { pegs: Peg[]; pairs: Pair[] } {
  const pegs = (gauge?.pegs ?? [])
    .filter((peg) => peg.unit === unit)
    .map((peg) => {
      const place = placeOf(plan, peg.path);
      const edited = place && atPlace(plan, place);
      const value = typeof edited === 'number' ? edited * peg.shownTimes : peg.value;
      return { ...peg, value, stands: moved(peg, value, celsius) };
    });
  const pairs: Pair[] = [];
  for (const key of new Set(pegs.map((peg) => peg.pair))) {
    const [first, second] = pegs.filter((peg) => peg.pair === key && peg.acts !== 'HELD');
    if (!first || !second || first.acts === second.acts) continue;
    const [low, high] = first.acts === 'FALLING' ? [first, second] : [second, first];
    pairs.push({ key, low: low.stands, high: high.stands });
  }
  return { pegs, pairs };
}

/** Round numbers along an axis, at most about ten of them. */
export function ticks(low: number, high: number): number[] {
  const step =
    [0.01, 0.02, 0.05, 0.1, 0.2, 0.5, 1, 2, 5, 10, 20].find((one) => (high - low) / one <= 12) ?? 50;
  const first = Math.ceil(low / step - 1e-9);
  const last = Math.floor(high / step + 1e-9);
  return Array.from({ length: last - first + 1 }, (_, i) => Math.round((first + i) * step * 1e6) / 1e6);
}

/**
 * Spreads label positions so that none overlaps, staying as near as may be to where each belongs: neighbours that would overlap share
 * their middle (pool adjacent violators), then all are kept within the bounds.
 */
export function spread(wanted: number[], least: number, from: number, to: number): number[] {
  const order = wanted.map((y, i) => ({ y, i })).sort((a, b) => a.y - b.y);
  const pools: { sum: number; count: number }[] = [];
  order.forEach((one, k) => {
    let pool = { sum: one.y - k * least, count: 1 };
    for (
      let last = pools.at(-1);
      last && last.sum / last.count > pool.sum / pool.count;
      last = pools.at(-1)
    ) {
      pool = { sum: pool.sum + last.sum, count: pool.count + last.count };
      pools.pop();
    }
    pools.push(pool);
  });
  const placed = pools
    .flatMap((pool) => new Array<number>(pool.count).fill(pool.sum / pool.count))
    .map((y, k) => y + k * least);
  placed.forEach((y, k) => (placed[k] = Math.max(y, from + k * least)));
  placed.forEach((y, k) => (placed[k] = Math.min(y, to - (placed.length - 1 - k) * least)));
  const result: number[] = new Array(wanted.length).fill(0);
  order.forEach((one, k) => (result[one.i] = placed[k] ?? 0));
  return result;
}
