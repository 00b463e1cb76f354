import { describe, expect, it } from 'vitest';
import { spread } from '../gauge/pegs';
import { differences, merge, placeOf, withPlace, namedAt } from './planPath';

const plan = {
  outputs: [
    { id: 'a', name: 'Radio', lvd: 11.5 },
    { id: 'b', name: 'Light' },
  ],
};

it('changes one place and leaves the original alone', () => {
  const changed = withPlace(plan, ['outputs', 0, 'lvd'], 12);
  expect(changed.outputs[0]?.lvd).toBe(12);
  expect(plan.outputs[0]?.lvd).toBe(11.5);
  expect(changed.outputs[1]).toBe(plan.outputs[1]);
});

it('names where two plans differ', () => {
  const theirs = withPlace(plan, ['outputs', 0, 'lvd'], 12);
  expect(differences(plan, theirs)).toEqual([{ place: 'outputs › Radio › lvd', mine: '11.5', theirs: '12' }]);
  expect(differences(plan, withPlace(plan, ['outputs', 1], undefined))[0]?.theirs).toBe('none');
});

it('spreads labels so that none overlaps and none leaves the gauge', () => {
  const at = spread([50, 52, 51, 98], 10, 0, 100);
  const sorted = [...at].sort((a, b) => a - b);
  sorted.slice(1).forEach((y, i) => expect(y - (sorted[i] ?? 0)).toBeGreaterThanOrEqual(10));
  expect(Math.max(...at)).toBeLessThanOrEqual(100);
  expect((at[0] ?? 0) < (at[2] ?? 0) && (at[2] ?? 0) < (at[1] ?? 0)).toBe(true);
});

it('names the part a pointer ends in', () => {
  const plan = { site: { loads: [{ id: 'radio', name: 'Radio', cable: {} }] }, program: {} };
  expect(namedAt(plan, '/site/loads/radio/cable/oneWayMetres')).toBe('Radio');
  expect(namedAt(plan, '/program/charging')).toBe('the plan');
});

describe('joining what two people made of one plan', () => {
  const base = {
    outputs: [
      { id: 'a', volts: 11, delay: 5 },
      { id: 'b', volts: 12 },
    ],
    limits: [1, 2],
  };

  it('takes from each what only that one changed', () => {
    const mine = {
      ...base,
      outputs: [
        { id: 'a', volts: 11.5, delay: 5 },
        { id: 'b', volts: 12 },
      ],
    };
    const theirs = {
      ...base,
      outputs: [{ id: 'a', volts: 11, delay: 9 }, { id: 'b', volts: 12 }, { id: 'c' }],
    };
    const { value, clashes } = merge(base, mine, theirs);
    expect(clashes).toEqual([]);
    expect(value).toEqual({
      ...base,
      outputs: [{ id: 'a', volts: 11.5, delay: 9 }, { id: 'b', volts: 12 }, { id: 'c' }],
    });
  });

  it('lets go what one took away and the other left alone', () => {
    const theirs = { ...base, outputs: [base.outputs[0]] };
    expect(merge(base, base, theirs).value).toEqual(theirs);
    expect(merge(base, theirs, base).value).toEqual(theirs);
  });

  it('tells a clash by its place, with mine standing', () => {
    const mine = { ...base, outputs: [{ id: 'a', volts: 11.5, delay: 5 }, base.outputs[1]] };
    const theirs = { ...base, outputs: [{ id: 'a', volts: 10.5, delay: 5 }, base.outputs[1]], limits: [3] };
    const { value, clashes } = merge(base, mine, theirs);
    expect(clashes).toEqual([
      { path: ['outputs', 'a', 'volts'], place: 'outputs › a › volts', mine: 11.5, theirs: 10.5 },
    ]);
    expect(value).toEqual({ ...mine, limits: [3] });
  });

  it('asks where one changed what the other took away, and leaves no hole', () => {
    const without = { ...base, outputs: [base.outputs[1]] };
    const changed = { ...base, outputs: [{ id: 'a', volts: 11.5, delay: 5 }, base.outputs[1]] };
    // I took it away, they changed it; then the other way round.
    for (const [mine, theirs, kept] of [
      [without, changed, 'theirs'],
      [changed, without, 'mine'],
    ] as const) {
      const { clashes } = merge(base, mine, theirs);
      expect(clashes).toHaveLength(1);
      expect(clashes[0]?.[kept]).toMatchObject({ volts: 11.5 });
      expect(clashes[0]?.[kept === 'mine' ? 'theirs' : 'mine']).toBeUndefined();
      const gone = merge(base, mine, theirs, () => (kept === 'mine' ? 'theirs' : 'mine'))
        .value as typeof base;
      expect(gone.outputs).toEqual([base.outputs[1]]);
      const stays = merge(base, mine, theirs, () => kept).value as typeof base;
      expect(stays.outputs).toHaveLength(2);
      expect(stays.outputs).toContainEqual({ id: 'a', volts: 11.5, delay: 5 });
    }
  });

  it('does not mix fields of two kinds of rules', () => {
    const rule = (kind: string, volts: number) => ({ protection: { kind, volts } });
    const { clashes } = merge(rule('x', 1), rule('y', 2), rule('x', 3));
    expect(clashes).toHaveLength(1);
    expect(clashes[0]?.path).toEqual(['protection']);
  });
});

describe('places by paths with ids', () => {
  const plan = {
    program: {
      outputs: [{ id: 'a' }, { id: 'b', protection: { lvdVolts: 11 } }],
      charging: [{ controller: 'm' }],
      spans: [{ fromHour: 1 }, { fromHour: 2 }],
    },
  };
  it.each([
    ['program/outputs/b/protection/lvdVolts', ['program', 'outputs', 'b', 'protection', 'lvdVolts']],
    ['program/charging/m/floatVolts', ['program', 'charging', 'm', 'floatVolts']],
    ['program/outputs/none/x', undefined],
    ['program/outputs/1/protection', undefined],
    ['program/spans/1/fromHour', ['program', 'spans', '1', 'fromHour']],
  ])('%s', (path, place) => expect(placeOf(plan, path)).toEqual(place));
});
