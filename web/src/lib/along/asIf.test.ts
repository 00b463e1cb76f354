import { expect, it } from 'vitest';
import { asIf, kindOf } from './asIf';
import { isLocal, shownNumber } from './local';
import { pathsOf } from './takes';

const SITE = '/api/sites/kvarno';
const MADE = { by: 'Liv Nordhavn', at: '2026-10-05T10:00:00Z' };

/** What a view is after a request that waits. */
function after(method: string, path: string, body: object, view: unknown, shown = 0) {
  const change = asIf(method, `${SITE}/${path}`, JSON.stringify(body));
  const shows = change?.shows[shown];
  return { path: shows?.path, view: shows?.apply(view as never, MADE) as never };
}

const step = (id: string) => ({ step: { id }, photos: [] });
const visit = { round: 1, begunAt: '2026-10-01T08:00:00Z', begunBy: 'Odd', steps: [step('a'), step('b')] };
const entry = (id: string) => ({
  entry: { id, kind: 'NOTE', at: MADE.at, numbers: {}, cells: [], note: '' },
  madeBy: 'Odd',
  madeAt: MADE.at,
  photos: [],
  says: { says: '', isCaution: false },
  withdrawn: false,
});
const log = { due: [], more: false, entries: [entry('one'), entry('two')] };

it('numbers revisions that were saved without a network so that none of the server’s is mistaken for them', () => {
  const latest = { revision: { number: 5, author: '', note: '', savedAt: '', changes: [] }, plan: { a: 1 } };
  const first = after('POST', 'revisions', { parent: 5, note: 'LVD', plan: { a: 2 } }, latest);
  expect(first.path).toBe(`${SITE}/revisions/latest`);
  expect(first.view).toMatchObject({ plan: { a: 2 }, revision: { parent: 5, note: 'LVD', author: MADE.by } });
  const number = (first.view as { revision: { number: number } }).revision.number;
  expect(isLocal(number)).toBe(true);
  expect(isLocal(5)).toBe(false);
  expect(shownNumber(number)).toBe(6);
  const second = after('POST', 'revisions', { parent: number, plan: { a: 3 } }, first.view);
  expect(shownNumber((second.view as { revision: { number: number } }).revision.number)).toBe(7);
  const history = after('POST', 'revisions', { parent: 5, plan: {} }, [latest.revision], 1);
  expect((history.view as { number: number }[]).map((one) => shownNumber(one.number))).toEqual([6, 5]);
});

it('lets unsaved changes stand for those before them, and a revision for both', () => {
  const draft = asIf('PUT', `${SITE}/drafts`, '{"parent":5,"plan":{}}');
  expect(draft?.replaces?.test(kindOf('PUT', `${SITE}/drafts`))).toBe(true);
  expect(draft?.replaces?.test(kindOf('DELETE', `${SITE}/drafts`))).toBe(true);
  expect(draft?.replaces?.test(kindOf('POST', `${SITE}/revisions`))).toBe(false);
  expect(asIf('POST', `${SITE}/revisions`, '{}')?.replaces?.test(kindOf('PUT', `${SITE}/drafts`))).toBe(true);
  expect(after('PUT', 'drafts', { parent: 5, plan: { a: 1 } }, { others: [] }).view).toEqual({
    others: [],
    mine: { parent: 5, plan: { a: 1 }, savedAt: MADE.at },
  });
  expect(after('DELETE', 'drafts', {}, { others: [], mine: {} }).view).toEqual({ others: [] });
});

it('writes the log on: an entry, one withdrawn and put back, a photo of the right one', () => {
  const body = entry('three').entry;
  const kept = after('POST', 'log', body, log).view as typeof log;
  expect(kept.entries.map((one) => one.entry.id)).toEqual(['three', 'one', 'two']);
  expect(kept.entries[0]).toMatchObject({ madeBy: MADE.by, says: { says: 'Waits to be sent.' } });
  const gone = after('PUT', 'log/two/withdrawn', { withdrawn: true }, log).view as typeof log;
  expect(gone.entries.map((one) => one.withdrawn)).toEqual([false, true]);
  const photo = after('POST', 'log/two/photos', { id: 'p', picture: 'AA==' }, log).view as typeof log;
  expect(photo.entries.map((one) => one.photos)).toEqual([[], ['p']]);
  expect(asIf('POST', `${SITE}/log/two/photos`, '{"id":"p","picture":"AA=="}')?.photo).toEqual({
    address: `${SITE}/log-photos/p`,
    base64: 'AA==',
  });
});

it('goes on with a visit: begun anew nothing of it is done, and what is done is done by whom and when', () => {
  const begun = after('POST', 'commissioning/rounds', { number: 2 }, visit).view;
  expect(begun).toEqual({ round: 2, begunAt: MADE.at, begunBy: MADE.by, steps: [step('a'), step('b')] });
  const mark = { id: 'm', round: 1, step: 'b', done: true, measured: '12,7', note: 'ok' };
  const marked = after('POST', 'commissioning/marks', mark, visit).view as typeof visit;
  expect(marked.steps[0]).toEqual(step('a'));
  expect(marked.steps[1]).toMatchObject({
    mark: { done: true, measured: '12,7', note: 'ok', madeBy: MADE.by, madeAt: MADE.at },
  });
  const photo = { id: 'p', round: 1, step: 'a', picture: 'AA==' };
  const seen = after('POST', 'commissioning/photos', photo, visit).view as typeof visit;
  expect(seen.steps[0]?.photos).toEqual([{ id: 'p', takenBy: MADE.by, takenAt: MADE.at }]);
});

it('measures a level on the bench for the core to judge it, in the test and in the list of tests', () => {
  const test = { id: 't', steps: [{ step: { id: 's' }, times: 1, failure: 'too low' }] };
  const result = { id: 'r', step: 's', measured: 12.1, note: '' };
  for (const [view, shown] of [
    [test, 0],
    [[test, { ...test, id: 'u' }], 1],
  ] as const) {
    const told = after('POST', 'bench-tests/t/results', result, view, shown).view as unknown;
    const [first, other] = Array.isArray(told) ? told : [told];
    expect(first.steps[0]).toMatchObject({
      times: 2,
      failure: 'waits to be judged',
      last: { measured: 12.1 },
    });
    if (other) expect(other.steps[0].times).toBe(1);
  }
});

it('signs a test on the bench that nothing keeps from it, and lets nobody change it after that', () => {
  const sign = asIf('POST', `${SITE}/bench-tests/t/signature`, '');
  expect(sign?.refuses?.({ blocking: ['1 level is not measured'] } as never)).toContain(
    '1 level is not measured',
  );
  expect(sign?.refuses?.({ blocking: [] } as never)).toBeUndefined();
  const plugged = { id: 'p', what: 'laptop', pluggedBy: 'Odd', pluggedAt: MADE.at };
  const test = { id: 't', steps: [], plugged: [plugged], blocking: ['laptop is still plugged in'] };
  const gone = after('POST', 'bench-tests/t/plugged/p/unplugging', {}, test).view as typeof test;
  expect(gone.plugged).toEqual([{ ...plugged, removedBy: MADE.by, removedAt: MADE.at }]);
  expect(after('POST', 'bench-tests/t/signature', {}, gone).view).toMatchObject({
    signed: true,
    endedBy: MADE.by,
    endedAt: MADE.at,
    blocking: [],
  });
  expect(after('POST', 'bench-tests/t/ending', {}, gone).view).toMatchObject({
    signed: false,
    endedAt: MADE.at,
  });
});

it('keeps a day once, in its place', () => {
  const days = [
    { day: '2026-10-01', lowestVolts: 24 },
    { day: '2026-10-03', lowestVolts: 25 },
  ];
  const typed = {
    days: [
      { day: '2026-10-02', lowestVolts: 24.4 },
      { day: '2026-10-03', lowestVolts: 25.1 },
    ],
  };
  expect(after('PUT', 'daily', typed, days).view).toEqual([days[0], ...typed.days]);
});

it('leaves to the server what only it can do', () => {
  for (const [method, path] of [
    ['PUT', 'agreement'],
    ['POST', 'devices/d/transfers'],
    ['DELETE', 'logger-files/x'],
    ['POST', 'state'],
  ] as const)
    expect(asIf(method, `${SITE}/${path}`, '{}'), path).toBeUndefined();
  expect(asIf('POST', '/api/sites', '{}')).toBeUndefined();
});

it('takes along what answers name: revisions, tests, devices with their sheets', () => {
  expect(pathsOf('kvarno')).toContain(`${SITE}/revisions/latest`);
  expect(pathsOf('kvarno', `${SITE}/revisions`, '[{"number":1},{"number":0}]')).toEqual([
    `${SITE}/revisions/1`,
    `${SITE}/revisions/0`,
  ]);
  expect(pathsOf('kvarno', `${SITE}/bench-tests`, '[{"id":"t"}]')).toEqual([`${SITE}/bench-tests/t`]);
  const latest = { revision: { number: 3 }, plan: { program: { devices: [{ id: 'd' }] } } };
  expect(pathsOf('kvarno', `${SITE}/revisions/latest`, JSON.stringify(latest))).toEqual([
    `${SITE}/devices/d/readings`,
    `${SITE}/revisions/3/devices/d/sheet`,
  ]);
  expect(pathsOf('kvarno', `${SITE}/daily`, '[]')).toEqual([]);
});
