import { describe, expect, it } from 'vitest';
import demo from '../../../../demo/hallgrund.json';
import type { Gauge, Peg, Plan } from '../api/api';
import { moved, pegsOf, spread, ticks } from './pegs';

const plan = demo.plan as unknown as Plan;
const LVD = 'program/outputs/transmitter-disconnect/protection/lvdVolts';

function peg(more: Partial<Peg>): Peg {
  return {
    path: LVD,
    at: 'transmitter-disconnect',
    name: 'Transmitter disconnect',
    whose: 'OUTPUT',
    pair: 'transmitter-disconnect/protection',
    term: 'LVD',
    unit: 'V',
    value: 1,
    shownTimes: 1,
    alike: [],
    acts: 'FALLING',
    actsWhenPassed: true,
    switches: true,
    tolerance: 0.05,
    offsetVolts: 0,
    voltsPerKelvin: 0,
    ...more,
  };
}

function gauge(...pegs: Peg[]): Gauge {
  return { pegs } as unknown as Gauge;
}

describe('pegs of a plan', () => {
  it('stand where the plan being edited says, not where the server last read them', () => {
    const [lvd] = pegsOf(gauge(peg({})), plan).pegs;
    const rule = plan.program.outputs.find((one) => one.id === 'transmitter-disconnect')?.protection;
    expect(lvd?.value).toBe(rule?.kind === 'voltageDisconnect' ? rule.lvdVolts : undefined);
  });

  it('are joined by rule, falling to rising, and a pair that is turned round shows it', () => {
    const { pairs } = pegsOf(
      gauge(peg({ path: 'gone/a', value: 11.5 }), peg({ path: 'gone/b', value: 11.2, acts: 'RISING' })),
      plan,
    );
    expect(pairs).toEqual([{ key: 'transmitter-disconnect/protection', low: 11.5, high: 11.2 }]);
  });

  it('are shown by unit', () => {
    const all = gauge(peg({}), peg({ path: 'gone', unit: '%', value: 40 }));
    expect(pegsOf(all, plan, '%').pegs.map((one) => one.value)).toEqual([40]);
    expect(pegsOf(undefined, plan).pegs).toEqual([]);
  });

  /** −5 mV/K on each of six cells: 20 K colder is 0.6 V more, up to the ceiling. Common practice, no source. */
  it.each([
    [25, 14.4],
    [5, 15],
    [-20, 15.2],
    [60, 13.35],
  ])('at %d °C 14.4 V stand at %d V', (celsius, volts) => {
    const compensated = peg({ voltsPerKelvin: -0.03, ceilingVolts: 15.2, floorVolts: 13 });
    expect(moved(compensated, 14.4, celsius)).toBeCloseTo(volts, 9);
  });

  it('that are not compensated stay, whatever bounds there are', () => {
    expect(moved(peg({ ceilingVolts: 13 }), 14, -40)).toBe(14);
  });
});

it.each([
  [11.13, 14.2, [11.5, 12, 12.5, 13, 13.5, 14]],
  [0, 100, [0, 10, 20, 30, 40, 50, 60, 70, 80, 90, 100]],
  [1.9, 2, [1.9, 1.91, 1.92, 1.93, 1.94, 1.95, 1.96, 1.97, 1.98, 1.99, 2]],
])('an axis from %d to %d is marked in round numbers', (low, high, marks) =>
  expect(ticks(low, high)).toEqual(marks),
);

it('spreads labels that would overlap and keeps their order', () => {
  const at = spread([100, 101, 99], 20, 0, 110);
  expect(at).toEqual([90, 110, 70]);
});
