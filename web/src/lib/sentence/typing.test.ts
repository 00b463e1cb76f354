import { describe, expect, it, vi } from 'vitest';
import type { NumberChip } from '../api/api';
import { Typing } from './typing.svelte';
import { units } from './units.svelte';

const CHIP = {
  kind: 'number',
  field: 'lvdVolts',
  label: 'LVD',
  value: 11.5,
  unit: 'V',
  step: 0.1,
  bigStep: 0.5,
  least: 9,
  most: 13,
} as NumberChip;

function chip(readonly = false, first = 11.5, unit = 'V') {
  const taken: number[] = [];
  const state = { value: first };
  const typing = new Typing(() => ({
    chip: { ...CHIP, unit },
    value: state.value,
    readonly,
    change: (value) => {
      state.value = value;
      taken.push(value);
    },
  }));
  return { typing, taken };
}

const key = (name: string, more: object = {}) =>
  ({ key: name, preventDefault: () => {}, stopPropagation: () => {}, ...more }) as KeyboardEvent;

describe('a number that is typed over another', () => {
  it('is taken with Enter, with a comma or a point', async () => {
    const { typing, taken } = chip();
    typing.faceKeys(key('1'));
    expect(typing.on).toBe(true);
    expect(typing.text).toBe('1');
    typing.text = '11,8';
    await typing.take(true);
    expect(taken).toEqual([11.8]);
    expect(typing.on).toBe(false);
  });

  it('stays with what was wrong with it, named with value, unit and bounds', async () => {
    const { typing, taken } = chip();
    await typing.open();
    expect(typing.text).toContain('11.5');
    typing.text = '14';
    await typing.take(true);
    expect(typing.on).toBe(true);
    expect(typing.trouble).toBe('LVD: 14 V is outside 9 to 13 V');
    typing.text = 'low';
    await typing.take(true);
    expect(typing.trouble).toBe('LVD: “low” is not a number in V');
    expect(taken).toEqual([]);
    await typing.leave();
    expect([typing.on, typing.trouble]).toEqual([false, '']);
  });

  it('is left as it was where the focus goes elsewhere with nothing new in it', async () => {
    const { typing, taken } = chip();
    await typing.open();
    await typing.take(false);
    expect(taken).toEqual([]);
    expect(typing.on).toBe(false);
  });

  it('keeps every digit where it was only looked at, however it is shown', async () => {
    const { typing, taken } = chip(false, 11.50037);
    await typing.open();
    expect(typing.text).toBe('11.5 V');
    await typing.take(true);
    expect([taken, typing.on]).toEqual([[], false]);

    vi.stubGlobal('localStorage', { setItem: () => {} });
    units.choose(true);
    const cable = chip(false, 8.4, 'mm²');
    await cable.typing.open();
    expect(cable.typing.text).toBe('8 AWG');
    await cable.typing.take(true);
    expect(cable.taken).toEqual([]);
    units.choose(false);
    vi.unstubAllGlobals();
  });

  it('goes by arrows in small and large steps, and stops at its bounds', () => {
    const { typing, taken } = chip();
    typing.faceKeys(key('ArrowUp'));
    typing.faceKeys(key('ArrowDown', { shiftKey: true }));
    expect(taken).toEqual([11.6, 11.1]);
    for (let i = 0; i < 9; i++) typing.faceKeys(key('ArrowDown', { shiftKey: true }));
    expect(taken.at(-1)).toBe(9);
    typing.faceKeys(key('ArrowUp', { ctrlKey: true }));
    expect(taken.at(-1)).toBe(9);
  });

  it('cannot be typed by who only looks', () => {
    const { typing, taken } = chip(true);
    typing.faceKeys(key('ArrowUp'));
    typing.faceKeys(key('5'));
    expect([typing.on, taken]).toEqual([false, []]);
  });
});
