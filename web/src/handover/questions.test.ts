import { expect, it } from 'vitest';
import demo from '../../../demo/kvarno.json';
import type { Plan } from '../lib/api/api';
import { answered, questionsOf } from './questions';

const plan = demo.plan as unknown as Plan;
const of = (path: string) => questionsOf(plan).find((one) => one.path === path);

it('asks for each number that is a guess, the battery first, as a form shows it', () => {
  const questions = questionsOf(plan);
  expect(questions[0]).toMatchObject({
    path: 'site/battery/startStateOfCharge',
    part: 'Battery',
    unit: '%',
    value: 82,
  });
  // A guess about the whole of a load is one about each of its numbers.
  const office = questions.filter((one) => one.origin === 'site/loads/office/consumption');
  expect(office.length).toBeGreaterThan(1);
  expect(office.every((one) => one.part === 'Office')).toBe(true);
});

it('takes answers in with their origin, and leaves the rest a guess', () => {
  const loss = 'site/arrays/barn-roof/lossFraction';
  const winter = 'site/location/turbidity/winter';
  const next = answered(plan, questionsOf(plan), {
    [loss]: { value: '7,5', said: 'data sheet, page 2' },
    [winter]: { value: '', said: 'confirmed by phone' },
  });
  const array = next.site.arrays.find((one) => one.id === 'barn-roof');
  expect(of(loss)?.unit).toBe('%');
  expect(array?.lossFraction).toBe(0.075);
  expect(next.origins[loss]).toEqual({ kind: 'MAKERS_SHEET', note: 'data sheet, page 2' });
  expect(next.site.location.turbidity).toEqual(plan.site.location.turbidity);
  expect(next.origins[winter]?.kind).toBe('MAKERS_SHEET');
  expect(next.origins['site/location/turbidity/summer']?.kind).toBe('GUESS');
  expect(next.origins['site/location/turbidity']).toBeUndefined();
  expect(plan.origins[loss]?.kind).toBe('GUESS');
});
