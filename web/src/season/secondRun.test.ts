import { beforeEach, expect, it, vi } from 'vitest';
import type { Plan } from '../lib/api/api';
import { OTHERWISE } from './compared';
import { Conditions } from './conditions.svelte';
import { SecondRun } from './secondRun.svelte';

const server = vi.hoisted(() => ({ bodies: [] as Record<string, Record<string, unknown>>[] }));

const OLD = { program: { outputs: [], old: true } };

vi.mock('../lib/api/client', () => ({
  api: {
    GET: (path: string) => ({ data: path.endsWith('/{number}') ? { plan: OLD } : [] }),
    POST: (_: string, { body }: { body: never }) => {
      server.bodies.push(body);
      return {
        data: {
          work: { id: `w${server.bodies.length}`, state: 'DONE' },
          comparison: { before: 'b', after: 'a' },
        },
      };
    },
  },
  outcome: (call: unknown) => Promise.resolve(call),
}));

const plan = { program: { outputs: [] } } as unknown as Plan;

beforeEach(() => {
  server.bodies = [];
  vi.stubGlobal('sessionStorage', { getItem: () => null, setItem: () => undefined });
});

it('tells a revision as what was before, and stands beside the run it was made for only', async () => {
  const second = new SecondRun('kvarno');
  const first = new Conditions();
  second.choose(3, first.inputs(plan));
  await second.run(plan, first, 'run-1');
  expect(server.bodies[0]?.before?.plan).toEqual(OLD);
  expect(server.bodies[0]?.after?.plan).toBe(plan);
  expect(second.besideOf('run-1')).toMatchObject({ run: 'b', heads: ['revision 3', 'now'], short: 'rev. 3' });
  expect(second.besideOf('run-2'), 'another run was made since').toBeUndefined();
  second.choose(undefined, first.inputs(plan));
  expect(second.besideOf('run-1')).toBeUndefined();
});

it('tells other conditions as what comes after, on the same days, with another weather to begin with', async () => {
  const second = new SecondRun('kvarno');
  const first = new Conditions();
  first.days = 90;
  second.choose(OTHERWISE, first.inputs(plan));
  expect(second.asked.weatherNumber).toBe(first.weatherNumber + 1);
  second.asked.days = 3;
  await second.run(plan, first, 'run-1');
  expect(server.bodies[0]?.before?.weatherNumber).toBe(1);
  expect(server.bodies[0]?.after).toMatchObject({ weatherNumber: 2, days: 90, plan });
  expect(second.besideOf('run-1')).toMatchObject({ run: 'a', heads: ['as asked', 'otherwise'] });
});
