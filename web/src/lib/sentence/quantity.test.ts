import { dayTyped, daysLater, dayWritten } from './days';
import { afterEach, describe, expect, it } from 'vitest';
import { compared, duration, energy, fixed, stepped, told, typed, written, own } from './quantity';
import { units } from './units.svelte';

describe('what is typed into a chip', () => {
  it.each([
    ['11.6', 'V', 11.6],
    ['11,6 V', 'V', 11.6],
    ['−2', '°', -2],
    ['90', 's', 90],
    ['1:30', 's', 90],
    ['2 min', 's', 120],
    ['1 h 30 min', 's', 5400],
    ['1,5 min', 's', 90],
    ['16', '', 16],
    ['-0,5', '', -0.5],
  ])('%s in %s is %d', (text, unit, value) => expect(typed(text, unit)).toBe(value));

  it.each([
    ['', 'V'],
    ['eleven', 'V'],
    ['11.6.1', 'V'],
    ['11 A', 'V'],
    ['1:75', 's'],
    ['2 minutes ago', 's'],
    ['Infinity', 'V'],
    ['', ''],
    ['sixteen', ''],
    ['16 V', ''],
    ['10 ft', 'V'],
    ['5/0 AWG', 'mm²'],
    ['21:75', 'h'],
  ])('“%s” in %s is refused', (text, unit) => expect(typed(text, unit)).toBeUndefined());

  // Boiling and freezing points; a foot is 0.3048 m (NIST SP 811); 10 and 4/0 gauge by ASTM B258, from memory.
  it.each([
    ['212 °F', '°C', 100],
    ['-40f', '°C', -40],
    ['10 ft', 'm', 3.048],
    ['12 in', 'm', 0.3048],
    ['250 mm', 'm', 0.25],
    ['10 AWG', 'mm²', 5.261],
    ['4/0 AWG', 'mm²', 107.2],
    ['50 gal', 'l', 189.3],
    ['2,5 kW', 'W', 2500],
    ['850 mV', 'V', 0.85],
    ['2.5 mΩ', 'Ω', 0.0025],
    ['21:30', 'h', 21.5],
    ['7', 'h', 7],
  ])('%s in %s is about %d', (text, unit, value) =>
    expect(typed(text, unit)).toBeCloseTo(value, value > 50 ? 0 : 3),
  );

  it('reads back what it writes', () => {
    for (const seconds of [0, 5, 59.5, 60, 90, 3600, 5430, 90061]) {
      expect(typed(duration(seconds), 's')).toBe(seconds);
    }
    expect(typed(written(-2, '°'), '°')).toBe(-2);
  });
});

it('steps without rounding dust and inside the bounds', () => {
  expect(stepped(11.7, 0.1, 0, 1000)).toBe(11.8);
  expect(stepped(0.05, -0.1, 0, 1000)).toBe(0);
});

it('says small energies in Wh and large ones in kWh', () => {
  expect(energy(9999)).toBe('9999 Wh');
  expect(energy(-12_340)).toBe('−12.3 kWh');
});

it.each([
  ['5 Oct 2026', '2026-10-05'],
  ['5 october 2026', '2026-10-05'],
  ['5.10.2026', '2026-10-05'],
  ['5/10/2026', '2026-10-05'],
  ['2026-10-05', '2026-10-05'],
  ['29 Feb 2028', '2028-02-29'],
  ['29 Feb 2026', undefined],
  ['10/31/2026', undefined],
  ['tomorrow', undefined],
])('reads the day “%s”', (text, day) => expect(dayTyped(text)).toBe(day));

it('writes a day so that its month cannot be mistaken, and counts days over the ends of months', () => {
  expect(dayWritten('2026-10-05')).toBe('5 Oct 2026');
  expect(dayTyped(dayWritten('2027-01-31'))).toBe('2027-01-31');
  expect(daysLater('2026-12-31', 1)).toBe('2027-01-01');
});

// NIST SP 811 for feet and gallons, ASTM B258 for gauges, from memory: 25 °C are 77 °F, 3.048 m ten feet, 13.3 mm² 6 AWG, 67.4 mm² 2/0.
describe('who reads customary units', () => {
  afterEach(() => {
    units.customary = false;
  });

  it.each([
    [25, '°C', '77 °F'],
    [-40, '°C', '−40 °F'],
    [3.048, 'm', '10 ft'],
    [13.3, 'mm²', '6 AWG'],
    [67.4, 'mm²', '2/0 AWG'],
    [35, 'mm²', '35 mm²'],
    [189.271, 'l', '50 gal'],
    [12.4, 'V', '12.4 V'],
    [90, 's', '1 min 30 s'],
  ])('reads %d %s as %s', (value, unit, says) => {
    units.customary = true;
    expect(written(value, unit)).toBe(says);
    expect(typed(says, unit)).toBeCloseTo(value, value > 10 && unit === 'mm²' ? 0 : 4);
  });

  // 4 °C are 39.2 °F, 45 °C 113 °F; 3 m 9.8 ft to a tenth; 5 l 1.3 gal.
  it.each([
    ['battery below 4 °C; it has 3.5 °C', 'battery below 39.2 °F; it has 38.3 °F'],
    ['charging from 4 to 45 °C', 'charging from 39.2 °F to 113 °F'],
    ['−10 °C in 3 m of 6 mm² for 5 min', '14 °F in 9.8 ft of 6 mm² for 5 min'],
    ['5 l in 3 min at 12.4 V, 20 mV/K', '1.3 gal in 3 min at 12.4 V, 20 mV/K'],
  ])('reads “%s” of the core as “%s”', (words, says) => {
    expect(told(words)).toBe(words);
    units.customary = true;
    expect(told(words)).toBe(says);
    expect(compared(25, '°C')).toBe('77 °F');
  });

  it('types in them without naming them, and in metric ones by naming those', () => {
    units.customary = true;
    expect(typed('77', '°C')).toBe(25);
    expect(typed('25 °C', '°C')).toBe(25);
    expect(typed('10', 'm')).toBe(3.048);
    expect(typed('11.5', 'V')).toBe(11.5);
    expect(own(14, '°C')).toBe(-10);
    units.customary = false;
    expect(own(14, '°C')).toBe(14);
    expect(typed('77', '°C')).toBe(77);
  });

  it('steps by whole ones of them, inside the same bounds', () => {
    units.customary = true;
    expect(written(stepped(25, 1, -40, 80, '°C'), '°C')).toBe('78 °F');
    expect(stepped(80, 1, -40, 80, '°C')).toBe(80);
    expect(stepped(12.4, 0.1, 9, 16, 'V')).toBe(12.5);
  });
});

it('has a minus only before what is something', () => {
  expect([fixed(-0.04, 1), fixed(-0.05001, 1), fixed(-2, 0), fixed(0.04, 1)]).toEqual([
    '0.0',
    '−0.1',
    '−2',
    '0.0',
  ]);
});

it('says a compared span of time as one says it, and any other number with its unit', async () => {
  const { compared } = await import('./quantity');
  expect(compared(9.084, 'd')).toBe('9 d 2 h');
  expect(compared(1.25, 'h')).toBe('1 h 15 min');
  expect(compared(30, 's')).toBe('30 s');
  expect(compared(0, 's')).toBe('0 s');
  expect(compared(11.63, 'V')).toBe('11.63 V');
});
