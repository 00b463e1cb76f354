import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { DailyFigure, Estimate, History } from '../lib/api/api';
import { Kept } from '../lib/shell/kept';
import { cellsTyped } from './book.svelte';
import { figureOf, nextDay, troubleOf, type TypedDay } from './daily';
import { fittedNumber, fitVerdict, isOther } from './fitted';
import { besideSimulated } from './recorded.svelte';
import { verdict } from './verdict';

const typed = (what: Partial<TypedDay>): TypedDay => ({
  day: '2026-11-03',
  lowest: '24,1',
  highest: '',
  in: '',
  out: '',
  ...what,
});

describe('daily figures as they are typed', () => {
  it('takes a decimal comma and leaves out what nobody typed', () => {
    expect(figureOf(typed({ in: ' 5400 ' }))).toEqual({
      day: '2026-11-03',
      lowestVolts: 24.1,
      inWattHours: 5400,
    });
  });

  it.each([
    [{ lowest: '' }, 'lowest: is missing, V'],
    [{ lowest: 'x' }, 'lowest: “x” is no number'],
    [{ highest: '23,9' }, 'highest: 23,9 V is below the lowest, 24,1 V'],
    [{ out: '4k' }, 'out: “4k” is no number'],
    [{ highest: '28,8' }, ''],
  ])('says what is wrong with %o', (what, says) => {
    expect(troubleOf(typed(what))).toBe(says);
  });

  it('goes on with the day after the last, kept or typed; with yesterday where there is none', () => {
    const kept: DailyFigure[] = [{ day: '2026-10-31', lowestVolts: 24 }];
    expect(nextDay(kept, [], '2026-12-01')).toBe('2026-11-01');
    expect(nextDay(kept, [typed({ day: '2026-11-30' })], '2026-12-01')).toBe('2026-12-01');
    expect(nextDay([], [], '2026-12-01')).toBe('2026-11-30');
  });
});

describe('what was typed and is not kept', () => {
  const stored = new Map<string, string>();
  beforeEach(() => {
    stored.clear();
    vi.stubGlobal('localStorage', {
      getItem: (key: string) => stored.get(key) ?? null,
      setItem: (key: string, value: string) => stored.set(key, value),
      removeItem: (key: string) => stored.delete(key),
    });
  });
  afterEach(() => vi.unstubAllGlobals());

  it('is read again, and what is damaged is as if it had not been', () => {
    const kept = new Kept<TypedDay[]>('daily.here');
    expect(kept.read()).toBeUndefined();
    kept.write([typed({})]);
    expect(new Kept<TypedDay[]>('daily.here').read()).toEqual([typed({})]);
    expect(new Kept('daily.there').read()).toBeUndefined();
    const [key = ''] = stored.keys();
    stored.set(key, '[{"day": half');
    expect(kept.read()).toBeUndefined();
    expect(stored.has(key)).toBe(false);
  });
});

describe('cells as people write them', () => {
  it.each([
    ['1,262 1,258\n1,226', [1.262, 1.258, 1.226]],
    ['2.11; 2.12 ;2.10', [2.11, 2.12, 2.1]],
    ['  ', []],
  ])('%j', (text, cells) => expect(cellsTyped(text)).toEqual(cells));
});

const estimate = (what: Partial<Estimate>): Estimate => ({
  quantity: 'CAPACITY',
  value: 162.1,
  lowest: 159.9,
  highest: 164.2,
  planned: 200,
  ...what,
});

describe('what was fitted', () => {
  it.each([
    [estimate({}), 162.1, '162.1 Ah'],
    [estimate({ quantity: 'RESISTANCE_IN_THE_END' }), 0.01918, '19.18 mΩ'],
    [estimate({ quantity: 'ARRAY_FACTOR' }), 0.9, '90 %'],
    [estimate({ quantity: 'VOLTAGE_OFFSET' }), -0.031, '−0.031 V'],
  ])('%o is written with its unit', (one, value, text) => expect(fittedNumber(one, value)).toBe(text));

  it('is proposed where it is another number than the plan’s, known, and one that matters', () => {
    expect(isOther(estimate({}))).toBe(true);
    expect(isOther(estimate({ planned: 163 }))).toBe(false);
    expect(isOther(estimate({ cannotTell: 'too flat' }))).toBe(false);
    const offset = { quantity: 'VOLTAGE_OFFSET', planned: 0 } as const;
    expect(isOther(estimate({ ...offset, value: 0.004, lowest: 0.001, highest: 0.009 }))).toBe(false);
    expect(isOther(estimate({ ...offset, value: 0.07, lowest: 0.06, highest: 0.08 }))).toBe(true);
  });

  it('says how well the model knows the battery, or why it cannot', () => {
    const fit = {
      estimates: [],
      asPlannedVolts: 0.0382,
      fittedVolts: 0.0113,
      days: 30,
      deepestDischarge: 0.4,
    };
    expect(fitVerdict({ ...fit, curve: [] })).toBe(
      'The plan’s battery is off by 38 mV, the fitted one by 11 mV.',
    );
    expect(fitVerdict({ ...fit, curve: [], cannot: 'no current' })).toBe(
      'Nothing can be fitted: no current.',
    );
  });
});

describe('what happened', () => {
  const days = [
    { date: '2026-10-01', lowestVolts: 12.4 },
    { date: '2026-10-02', lowestVolts: 12.15 },
  ];
  const history = (nights?: object) => ({ days, contacts: [], nights }) as unknown as History;

  it('is one sentence with the lowest voltage and its day', () => {
    expect(verdict(history())).toBe('2 days recorded: lowest 12.15 V, on 2 Oct 2026.');
  });

  it('tells a draw that went up or down for good', () => {
    const crept = { since: '2026-10-02', beforeWatts: 30, afterWatts: 21 };
    expect(verdict(history({ crept }))).toContain('By night the draw went down for good on 2 Oct 2026.');
  });

  it('stands beside the simulated days; what was not recorded is left open', () => {
    const simulated = ['2026-10-02', '2026-10-03'].map((date) => ({
      date,
      simulatedLowestVolts: 12.5,
      simulatedLowestCharge: 0.7,
    }));
    expect(besideSimulated(days, simulated)).toEqual([
      { date: '2026-10-02', lowestVolts: 12.15, simulatedVolts: 12.5 },
      { date: '2026-10-03', lowestVolts: undefined, simulatedVolts: 12.5 },
    ]);
  });
});
