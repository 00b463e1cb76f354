import { expect, it } from 'vitest';
import { spread } from '../lib/gauge/pegs';
import { differences, withPlace } from './planPath';

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
