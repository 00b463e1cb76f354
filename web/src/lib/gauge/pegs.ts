import type { Plan } from '../api/api';

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

/** All voltage thresholds of a plan, and the pairs among them. */
export function pegsOf(plan: Plan): { pegs: Peg[]; pairs: Pair[] } {
  const pegs: Peg[] = [];
  const pairs: Pair[] = [];
  for (const output of plan.program.outputs) {
    for (const rule of [output.automatic, output.protection]) {
      if (rule?.kind === 'voltageDisconnect') {
        const of = output.name;
        pegs.push({
          key: `${output.id}-lvd`,
          volts: rule.lvdVolts,
          acts: 'falling',
          switches: true,
          label: 'LVD',
          of,
        });
        pegs.push({
          key: `${output.id}-lvr`,
          volts: rule.lvrVolts,
          acts: 'rising',
          switches: true,
          label: 'LVR',
          of,
        });
        pairs.push({ key: output.id, low: rule.lvdVolts, high: rule.lvrVolts });
      } else if (rule?.kind === 'voltageDiversion') {
        const diverts = { switches: true, of: output.name };
        pegs.push({
          ...diverts,
          key: `${output.id}-on`,
          volts: rule.onVolts,
          acts: 'rising',
          label: 'diversion on',
        });
        pegs.push({
          ...diverts,
          key: `${output.id}-off`,
          volts: rule.offVolts,
          acts: 'falling',
          label: 'diversion off',
        });
        pairs.push({ key: output.id, low: rule.offVolts, high: rule.onVolts });
      } else if (rule?.kind === 'lowBatterySignal') {
        const of = output.name;
        const tells = { switches: false, of };
        pegs.push({
          ...tells,
          key: `${output.id}-warn`,
          volts: rule.warningVolts,
          acts: 'falling',
          label: 'warning',
        });
        pegs.push({
          ...tells,
          key: `${output.id}-clear`,
          volts: rule.clearsVolts,
          acts: 'rising',
          label: 'clears',
        });
        pairs.push({ key: output.id, low: rule.warningVolts, high: rule.clearsVolts });
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
