import { expect, it } from 'vitest';
import { inTodaysWords } from './todaysWords';

it('reads what was kept in the words of before, and leaves a name alone that only sounds like one', () => {
  expect(inTodaysWords('{"wish":"AUTOMATIC","dead":"CLOSED"}')).toBe(
    '{"mode":"BY_RULE","withoutPower":"CLOSED"}',
  );
  expect(inTodaysWords('{"wish":"OFF","name":"dead"}')).toBe('{"mode":"OFF","name":"dead"}');
});
