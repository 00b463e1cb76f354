import { expect, it } from 'vitest';
import demo from '../../../../demo/hallgrund.json';
import kvarno from '../../../../demo/kvarno.json';
import skarvholm from '../../../../demo/skarvholm.json';
import { factsOf } from '../../plan/facts';
import type { OutputReading, Plan } from '../api/api';
import { actsOn } from '../shell/parts';
import { pegsOf } from './pegs';

const plan = demo.plan as unknown as Plan;

type Level = OutputReading['levels'][number];
const level = (slot: string, field: string, term: string, falling: boolean, switches = true): Level => ({
  slot,
  field,
  term,
  volts: 0,
  falling,
  switches,
});
const disconnect = [
  level('protection', 'lvdVolts', 'LVD', true),
  level('protection', 'lvrVolts', 'LVR', false),
];
const readings: OutputReading[] = [
  { output: 'transmitter-disconnect', levels: disconnect },
  { output: 'marker-light-output', levels: disconnect },
  {
    output: 'fault-output',
    levels: [
      level('automatic', 'warningVolts', 'warning', true, false),
      level('automatic', 'clearsVolts', 'warning clears', false, false),
    ],
  },
];

it('has a peg for every voltage threshold of the demo site, and joins the pairs', () => {
  const { pegs, pairs } = pegsOf(plan, readings);
  const labels = pegs.map((peg) => peg.label).sort();
  expect(labels).toEqual(
    ['LVD', 'LVD', 'LVR', 'LVR', 'absorption', 'float', 'recharge', 'warning', 'warning clears'].sort(),
  );
  expect(pairs).toHaveLength(3);
  expect(pairs.every((pair) => pair.low < pair.high)).toBe(true);
  expect(pegs.filter((peg) => !peg.switches).map((peg) => peg.label)).toEqual(['warning', 'warning clears']);
  expect(pegs.filter((peg) => peg.acts === 'falling').map((peg) => peg.label)).not.toContain('LVR');
  expect(new Set(pegs.map((peg) => peg.key)).size).toBe(pegs.length);
});

it('tells every part of the site with a unit on every number', () => {
  const parts = factsOf(plan);
  expect(parts.map((part) => part.name)).toEqual([
    'Gel bank, two blocks',
    'Mast array',
    'Mast controller',
    'Transmitter',
    'Marker light',
  ]);
  const numbers = parts.flatMap((part) => part.facts).filter((fact) => /^\d/.test(fact.value));
  const bare = numbers.filter((fact) => /^\d+(\.\d+)?$/.test(fact.value)).map((fact) => fact.name);
  expect(bare, 'only a count may stand alone').toEqual(['cells in series']);
});

it.each([demo, kvarno, skarvholm])('finds the origin of a fact under its path', (document) => {
  const site = document.plan as unknown as Plan;
  const paths = factsOf(site)
    .flatMap((part) => part.facts)
    .map((fact) => fact.path)
    .filter((path) => path !== undefined);
  for (const path of Object.keys(site.origins)) expect(paths).toContain(path);
});

it('has pegs for diversion and for the charger in the inverter', () => {
  const vent: OutputReading = {
    output: 'vent-output',
    levels: [
      level('automatic', 'onVolts', 'diversion on', false),
      level('automatic', 'offVolts', 'diversion off', true),
    ],
  };
  const { pegs } = pegsOf(kvarno.plan as unknown as Plan, [vent]);
  const diversion = pegs.filter((peg) => peg.label.startsWith('diversion'));
  expect(diversion.map((peg) => [peg.acts, peg.volts])).toEqual([
    ['rising', 28],
    ['falling', 27.4],
  ]);
  expect(pegs.filter((peg) => peg.of === 'Barn inverter').map((peg) => peg.label)).toEqual([
    'absorption',
    'float',
    'recharge',
  ]);
});

it('says what an output does to what is behind it', () => {
  const site = skarvholm.plan as unknown as Plan;
  expect(actsOn(site, ['lights', 'radio'])).toBe('feeds House lights, VHF radio');
  expect(actsOn(site, ['inverter'])).toBe('enables House inverter');
  expect(actsOn(site, ['generator'])).toBe('starts Diesel generator');
  expect(actsOn(site, [])).toBe('signals only');
});
