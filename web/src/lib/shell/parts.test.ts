import { expect, it } from 'vitest';
import skarvholm from '../../../../demo/skarvholm.json';
import type { Plan } from '../api/api';
import { actsOn, levelName } from './parts';

it('says what an output does to what is behind it', () => {
  const site = skarvholm.plan as unknown as Plan;
  expect(actsOn(site, ['lights', 'radio'])).toBe('feeds House lights, VHF radio');
  expect(actsOn(site, ['inverter'])).toBe('enables House inverter');
  expect(actsOn(site, ['generator'])).toBe('starts Diesel generator');
  expect(actsOn(site, [])).toBe('signals only');
});

it('names a level once', () => {
  expect(levelName('Generator start', 'generator start')).toBe('Generator start');
  expect(levelName('House lights', 'LVD')).toBe('House lights LVD');
});
