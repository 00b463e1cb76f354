import { atPlace } from '../../plan/planPath';
import type { OutputReading, Plan } from '../api/api';

/** A threshold on the voltage axis. */
export interface Peg {
  key: string;
  volts: number;
  /** Acts when the voltage falls to it, or rises to it; held: regulated to. */
  acts: 'falling' | 'rising' | 'held';
  /** Switches something, or only tells. */
  switches: boolean;
  label: string;
  /** What it belongs to. */
  of: string;
}

/** Two pegs of one rule, joined by their band. */
export interface Pair {
  key: string;
  low: number;
  high: number;
}

/**
 * All voltage thresholds of a plan, and the pairs among them. Which numbers of a rule are levels the server says; the values are
 * those of the plan being edited.
 */
export function pegsOf(plan: Plan, readings: OutputReading[]): { pegs: Peg[]; pairs: Pair[] } {
  const pegs: Peg[] = [];
  const pairs: Pair[] = [];
  for (const reading of readings) {
    const output = plan.program.outputs.find((one) => one.id === reading.output);
    if (!output) continue;
    for (const slot of ['automatic', 'protection'] as const) {
      const levels = reading.levels.filter((level) => level.slot === slot);
      const volts = levels.map((level) => {
        const value = atPlace(output[slot], level.field.split('.'));
        return typeof value === 'number' ? value : level.volts;
      });
      levels.forEach((level, i) =>
        pegs.push({
          key: `${output.id}-${slot}-${level.field}`,
          volts: volts[i] ?? level.volts,
          acts: level.falling ? 'falling' : 'rising',
          switches: level.switches,
          label: level.term,
          of: output.name,
        }),
      );
      const [first, second] = levels;
      if (first && second && first.falling !== second.falling) {
        const [low, high] = first.falling ? [volts[0], volts[1]] : [volts[1], volts[0]];
        pairs.push({ key: output.id, low: low ?? 0, high: high ?? 0 });
      }
    }
  }
  for (const charging of plan.program.charging) {
    const inverter = plan.site.inverter;
    const chargers = [...plan.site.controllers, ...(inverter ? [inverter] : [])];
    const of = chargers.find((one) => one.id === charging.controller)?.name ?? charging.controller;
    const key = charging.controller;
    pegs.push({
      key: `${key}-abs`,
      volts: charging.absorptionVolts,
      acts: 'held',
      switches: true,
      label: 'absorption',
      of,
    });
    pegs.push({
      key: `${key}-float`,
      volts: charging.floatVolts,
      acts: 'held',
      switches: true,
      label: 'float',
      of,
    });
    pegs.push({
      key: `${key}-re`,
      volts: charging.rechargeVolts,
      acts: 'falling',
      switches: true,
      label: 'recharge',
      of,
    });
  }
  return { pegs, pairs };
}

/** Spreads label positions so that none overlaps, staying as near as may be to where each belongs. */
export function spread(wanted: number[], least: number, from: number, to: number): number[] {
  const order = wanted.map((y, i) => ({ y, i })).sort((a, b) => a.y - b.y);
  const placed = order.map((one) => one.y);
  for (let i = 1; i < placed.length; i++) placed[i] = Math.max(placed[i] ?? 0, (placed[i - 1] ?? 0) + least);
  let bound = to;
  for (let i = placed.length - 1; i >= 0; i--) {
    placed[i] = Math.max(from, Math.min(placed[i] ?? 0, bound));
    bound = (placed[i] ?? 0) - least;
  }
  const result: number[] = new Array(wanted.length).fill(0);
  order.forEach((one, k) => (result[one.i] = placed[k] ?? 0));
  return result;
}
