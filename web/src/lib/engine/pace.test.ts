import { expect, it } from 'vitest';
import { Pace } from './pace';

it('asks here what is soon answered here, otherwise where it is sooner', () => {
  const pace = new Pace();
  expect([pace.isKnown, pace.isHere], 'nobody has tried').toEqual([false, false]);
  pace.tookThere(20);
  pace.tookHere(45);
  expect(pace.isHere, 'nobody sees the difference').toBe(true);
  pace.tookHere(300);
  expect(pace.isHere, 'the server is quicker').toBe(false);
  expect(pace.patience, 'a server that hangs is not waited for').toBe(900);
  pace.tookThere(700);
  expect(pace.isHere, 'no longer').toBe(true);
});
