import type { BenchTestView, Handover } from '../../api/api';
import { shows, type AsIf, type Body, type Kind, type Made } from './change';

/** A level that was measured. */
const measured = (test: BenchTestView, body: Body, made: Made): BenchTestView => ({
  ...test,
  steps: test.steps.map((one) => {
    if (one.step.id !== body.step) return one;
    const last = {
      measured: body.measured,
      afterSeconds: body.afterSeconds,
      setTo: body.setTo,
      instrument: String(body.instrument ?? ''),
      note: String(body.note ?? ''),
      measuredAt: made.at,
      measuredBy: made.by,
    };
    // The core says whether it passed.
    const failure = 'waits to be judged';
    return { ...one, times: one.times + 1, last, failure } as (typeof test.steps)[number];
  }),
});

/** What is done with a test: shown where it is looked at alone, and in the list. */
const ofTest = (
  site: string,
  id: string | undefined,
  says: string,
  apply: (test: BenchTestView, made: Made) => BenchTestView,
): AsIf => ({
  says,
  answers: 'view',
  shows: [
    shows<BenchTestView>(`${site}/bench-tests/${id}`, apply),
    shows<BenchTestView[]>(`${site}/bench-tests`, (tests, made) =>
      tests.map((one) => (one.id === id ? apply(one, made) : one)),
    ),
  ],
});

const ended = (test: BenchTestView, { by, at }: Made, signed: boolean): BenchTestView => ({
  ...test,
  signed,
  endedBy: by,
  endedAt: at,
  blocking: [],
});

/** Tests on site, and what is read off devices. */
export const TEST_CHANGES: Kind[] = [
  [
    'POST',
    /^bench-tests$/,
    (site, _, body) => {
      const path = `${site}/bench-tests/${String(body.id)}`;
      const begun = ({ by, at }: Made, revision: number) => ({
        id: body.id,
        revision,
        begunBy: by,
        begunAt: at,
        signed: false,
        steps: [],
        plugged: [],
        atDevices: [],
        blocking: [],
      });
      return {
        says: 'a test on the bench begun',
        answers: 'view',
        begins: (made, revision) => ({ path, view: begun(made, revision) }),
        refuses: ({ steps }: BenchTestView) =>
          steps.length === 0 ? 'No output of the newest plan goes by a level.' : undefined,
        shows: [
          shows<BenchTestView>(path, (test) => test),
          shows<BenchTestView[]>(`${site}/bench-tests`, (tests, made) => [begun(made, 0), ...tests]),
        ],
      };
    },
  ],
  [
    'POST',
    /^bench-tests\/([^/]+)\/results$/,
    (site, [id], body) =>
      ofTest(site, id, 'a level measured on the bench', (test, made) => measured(test, body, made)),
  ],
  [
    'POST',
    /^bench-tests\/([^/]+)\/plugged$/,
    (site, [id], body) =>
      ofTest(site, id, 'something plugged in for a test', (test, made) => ({
        ...test,
        plugged: [
          ...test.plugged,
          { id: String(body.id), what: String(body.what), pluggedBy: made.by, pluggedAt: made.at },
        ],
      })),
  ],
  [
    'POST',
    /^bench-tests\/([^/]+)\/plugged\/([^/]+)\/unplugging$/,
    (site, [id, plugged]) =>
      ofTest(site, id, 'something taken away after a test', (test, made) => ({
        ...test,
        plugged: test.plugged.map((one) =>
          one.id === plugged ? { ...one, removedBy: made.by, removedAt: made.at } : one,
        ),
      })),
  ],
  [
    'POST',
    /^bench-tests\/([^/]+)\/signature$/,
    (site, [id]) => ({
      ...ofTest(site, id, 'a test on the bench signed', (test, made) => ended(test, made, true)),
      refuses: ({ blocking }: BenchTestView) =>
        blocking.length > 0 ? `It cannot be signed yet: ${blocking.join('; ')}.` : undefined,
    }),
  ],
  [
    'POST',
    /^bench-tests\/([^/]+)\/ending$/,
    (site, [id]) => ofTest(site, id, 'a test on the bench ended', (test, made) => ended(test, made, false)),
  ],
  [
    'POST',
    /^devices\/([^/]+)\/readings$/,
    (site, [device], body) => ({
      says: 'what was read off a device',
      answers: 'view',
      shows: [
        shows<Handover>(`${site}/handover`, (view) => view),
        shows<object[]>(`${site}/devices/${device}/readings`, (readings, made) => [
          { at: made.at, by: made.by, values: {}, said: body.values },
          ...readings,
        ]),
      ],
    }),
  ],
];
