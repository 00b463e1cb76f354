import { describe, expect, it } from 'vitest';
import type { DeviceProfile, Setting } from '../lib/api/api';
import { choiceTold, csvOf, isAsItComes, partsBegin, remarks, rowsOf, textOf, told } from './deviceSheet';
import { knobFor, moved, notedKnob, settableOf, summed, toggled } from './knobs';

const profile: DeviceProfile = {
  id: 'box',
  name: 'Box',
  outputs: 1,
  rules: [],
  knobs: [{ kind: 'noted', id: 'menu', label: 'expert menu', unit: '', choices: [], usual: 'off' }],
  codes: [],
  hidings: [],
  saving: 'at once',
  showing: 'it is read back',
};

const setting = (more: Partial<Setting>): Setting => ({
  kind: 'NUMBER',
  device: 'box',
  at: 'mppt',
  path: 'program/charging/mppt/absorptionSeconds',
  label: 'absorb',
  enter: '90',
  unit: 'min',
  planUnit: 's',
  wanted: 5400,
  effective: 5400,
  step: 60,
  assumed: false,
  hidden: false,
  ...more,
});
const name = (id: string) => id.toUpperCase();

describe('a sheet', () => {
  it('says a number as a person does, a choice in words, and a noted one by what it means', () => {
    expect(told(setting({}), 5400)).toBe('1 h 30 min');
    expect(told(setting({ kind: 'WORD', wantedWord: 'AC_FIRST' }), 0)).toBe('AC first');
    expect(told(setting({ kind: 'NOTED', wantedWord: 'lithium' }), 0)).toBe('lithium');
    expect(['true', 'absent', 'generatorStart'].map(choiceTold)).toEqual([
      'yes',
      'not set',
      'generator start',
    ]);
  });

  it('is one row for what one position sets together, and goes on to another part once', () => {
    const coded = [setting({ kind: 'POSITION', label: 'a' }), setting({ kind: 'POSITION', label: 'b' })];
    expect(rowsOf(coded)).toHaveLength(1);
    const rows = rowsOf([
      setting({}),
      setting({ kind: 'NOTED', at: 'box', path: 'x' }),
      setting({ path: 'y' }),
      setting({ at: 'radio', path: 'z' }),
    ]);
    expect(partsBegin(rows).map((row) => row.first.at)).toEqual(['mppt', 'radio']);
  });

  it('tells what stands in the way, and how an entry is reached', () => {
    const hidden = setting({
      hidden: true,
      shown: { fromFirmware: '1.4', with: 'PHONE', onlyWhen: { knob: 'menu', is: 'on' } },
    });
    expect(remarks({ first: hidden, all: [hidden] }, profile)).toEqual([
      'hidden until expert menu is on',
      'by phone',
      'from firmware 1.4',
    ]);
    expect(isAsItComes(setting({ factory: '90' }))).toBe(true);
    expect(isAsItComes(setting({}))).toBe(false);
  });

  it('goes along as a table and as text', () => {
    const one = setting({ menu: 'C-02', factory: '120', needs: 'a sensor, outside' });
    expect(csvOf([one], profile, name).split('\r\n')[1]).toBe(
      'C-02,MPPT,absorb,90,min,120,5400,s,"needs a sensor, outside",program/charging/mppt/absorptionSeconds',
    );
    const formula = setting({ label: '=1+1', enter: '-6' });
    expect(csvOf([formula], profile, name).split('\r\n')[1]).toContain(",'=1+1,-6,min,");
    expect(textOf([one], profile, name)).toBe('C-02  MPPT, absorb: 90 min (needs a sensor, outside)');
  });
});

describe('a menu that is made', () => {
  it('begins an entry with what its unit usually takes, and a choice with all its words', () => {
    expect(knobFor({ name: 'charging.floatVolts', unit: 'V', words: [], several: false })).toMatchObject({
      least: 10,
      most: 64,
      step: 0.1,
    });
    const word = knobFor({ name: 'ac.exportsSurplus', unit: '', words: ['true', 'false'], several: false });
    expect(summed(word)).toBe('yes, no');
    expect(notedKnob(profile)).toMatchObject({ id: 'noted-1' });
    expect(moved(['a', 'b', 'c'], 2, -1)).toEqual(['a', 'c', 'b']);
  });

  it('chooses several together, in their order; each entry of a list is like its first', () => {
    const days = ['MONDAY', 'TUESDAY', 'SUNDAY'];
    expect(toggled('SUNDAY', 'MONDAY', days)).toBe('MONDAY SUNDAY');
    expect(toggled('MONDAY', 'MONDAY', days)).toBe('absent');
    expect(choiceTold('MONDAY SUNDAY')).toBe('monday, sunday');
    const listed = { name: 'clockSchedule.spans.0.weekdays', unit: '', words: days, several: true };
    const third = settableOf([listed], 'clockSchedule.spans.2.weekdays');
    expect(third).toMatchObject({ name: 'clockSchedule.spans.2.weekdays', several: true });
    expect(settableOf([listed], 'clockSchedule.spans.weekdays')).toBeUndefined();
  });
});
