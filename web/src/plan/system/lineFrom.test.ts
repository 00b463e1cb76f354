import { expect, it } from 'vitest';
import { lineFrom } from './lineFrom';

const BOUNDS = { volts: [50, 400] as [number, number], mostOhms: 20 };

it('has the ohms of a leg by Ohm’s law: 236 V idle and 218 V at 12 A are 18 V in 12 A, 1.5 Ω', () => {
  expect(lineFrom(236, 218, 12, BOUNDS)).toEqual({ volts: 236, legOhms: 1.5 });
  expect(lineFrom(230, 230, 10, BOUNDS)).toEqual({ volts: 230, legOhms: 0 });
});

it.each([
  [23.6, 21, 12, '23.6 V with nothing drawn is not between 50 V and 400 V'],
  [236, 218, 0, '0 A drawn is not above 0 A'],
  [218, 236, 12, '236 V under load is above 218 V with nothing drawn'],
  [236, 100, 2, '68 Ω is more than 20 Ω'],
])('says why %s V and %s V at %s A are no line', (idle, loaded, amperes, says) => {
  expect(lineFrom(idle, loaded, amperes, BOUNDS)).toContain(says);
});
