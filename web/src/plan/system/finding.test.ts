import { describe, expect, it } from 'vitest';
import { foundBy, sideOf, stands } from './finding';
import type { Sketch } from './sketch';

const placed = (path: string, schema: string, x: number) => ({ part: { path, schema }, x });
const SKETCH = {
  placed: [
    placed('site/arrays/roof', 'SolarArray', 100),
    placed('site/inverter', 'Inverter', 600),
    placed('site/loads/pump', 'Load', 800),
  ],
  marks: [{ path: 'site/sensePoints/shunt', x: 300 }],
  contacts: [{ output: 'pump-output', x: 700 }],
  bus: { x: 460 },
} as unknown as Sketch;

describe('where a finding leads on the sketch', () => {
  it('is the part it stands in or is about, and not one that is only called nearly the same', () => {
    expect(foundBy(SKETCH, { path: 'site/arrays/roof/peakWatts', at: '' })).toEqual({
      path: 'site/arrays/roof',
      schema: 'SolarArray',
    });
    expect(foundBy(SKETCH, { path: 'program/outputs/pump-output', at: 'pump' })?.path).toBe(
      'site/loads/pump',
    );
    expect(stands({ path: 'site/arrays/roof-2/peakWatts', at: '' }, 'site/arrays/roof')).toBe(false);
    expect(foundBy(SKETCH, { path: 'site/tanks/none', at: '' })).toBeUndefined();
  });

  it('is the inverter for what is said of the AC side, and a sense point where one is meant', () => {
    expect(foundBy(SKETCH, { path: 'program/ac/windows/0', at: '' })?.path).toBe('site/inverter');
    expect(foundBy(SKETCH, { path: 'site/earthing/inverter', at: '' })?.path).toBe('site/inverter');
    expect(foundBy(SKETCH, { path: 'site/sensePoints/shunt/offsetVolts', at: '' })).toEqual({
      path: 'site/sensePoints/shunt',
      schema: 'SensePoint',
    });
  });

  it('has its sheet on the other side', () => {
    expect(sideOf(SKETCH, 'site/arrays/roof')).toBe('right');
    expect(sideOf(SKETCH, 'site/loads/pump')).toBe('left');
    expect(sideOf(SKETCH, 'program/outputs/pump-output')).toBe('left');
    expect(sideOf(SKETCH, 'site/sensePoints/shunt')).toBe('right');
  });
});
