import { expect, it } from 'vitest';
import demo from '../../../../demo/hallgrund.json';
import { factsOf } from '../../plan/facts';
import type { Plan } from '../api/api';
import { pegsOf } from './pegs';

const plan = demo.plan as unknown as Plan;

it('has a peg for every voltage threshold of the demo site, and joins the pairs', () => {
  const { pegs, pairs } = pegsOf(plan);
  const labels = pegs.map((peg) => peg.label).sort();
  expect(labels).toEqual(
    ['LVD', 'LVD', 'LVR', 'LVR', 'absorption', 'clears', 'float', 'recharge', 'warning'].sort(),
  );
  expect(pairs).toHaveLength(3);
  expect(pairs.every((pair) => pair.low < pair.high)).toBe(true);
  expect(pegs.filter((peg) => !peg.switches).map((peg) => peg.label)).toEqual(['warning', 'clears']);
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

it('finds the origin of a fact under its path', () => {
  const paths = factsOf(plan)
    .flatMap((part) => part.facts)
    .map((fact) => fact.path)
    .filter((path) => path !== undefined);
  for (const path of Object.keys(plan.origins)) expect(paths).toContain(path);
});
