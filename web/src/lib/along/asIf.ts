import type {
  BenchTestView,
  CommissioningView,
  DailyFigure,
  Drafts,
  Handover,
  LoadedRevision,
  LogView,
  Revision,
  StepAtVisit,
} from '../api/api';
import { nextLocal } from './local';
import { WAITS } from './views';

/** Who makes a change, and when. */
export interface Made {
  by: string;
  at: string;
}

/** A view that a change shows in, and how. */
interface Shows {
  path: string;
  apply: (view: never, made: Made) => unknown;
}

/** What a request that waits to be sent will have done. */
export interface AsIf {
  /** In words. */
  says: string;
  /** What its answer would be: the first view as it is then, another one, or none. */
  answers: 'view' | 'nothing' | ((made: Made) => unknown);
  shows: Shows[];
  /** Earlier ones of these kinds are not sent: this one stands for them. */
  replaces?: RegExp;
  /** A photo that comes with it: its address and what is in it. */
  photo?: { address: string; base64: string };
  /** A view that is there from now on, on the newest revision. */
  begins?: (made: Made, revision: number) => { path: string; view: unknown };
  /** Why it cannot be done as its first view stands; undefined where it can. */
  refuses?: (view: never) => string | undefined;
  /** What the server would not take, seen in what its first view would be; undefined where it would. */
  spoils?: (view: never) => string | undefined;
}

type Body = Record<string, unknown>;
/** What the core says of a word where a number belongs. */
const NO_NUMBER = 'no number';
const shows = <V>(path: string, apply: (view: V, made: Made) => unknown): Shows => ({ path, apply });

const saved = (body: Body, made: Made, before: LoadedRevision): LoadedRevision => ({
  plan: body.plan as LoadedRevision['plan'],
  revision: {
    number: nextLocal(before.revision.number),
    parent: before.revision.number,
    author: made.by,
    note: String(body.note ?? ''),
    savedAt: made.at,
    changes: ['saved without a network: waits to be sent'],
  },
});

/** One step of a visit changed. */
const atStep = (view: CommissioningView, id: unknown, change: (one: StepAtVisit) => StepAtVisit) => {
  // A step that came with the plan since: the core says all else of it.
  const isNew = !view.steps.some((one) => one.step.id === id);
  const steps = isNew ? [...view.steps, { step: { id }, photos: [] } as unknown as StepAtVisit] : view.steps;
  return { ...view, steps: steps.map((one) => (one.step.id === id ? change(one) : one)) };
};

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

/** What can wait: by method and the end of the address behind the site. */
const KINDS: [string, RegExp, (site: string, found: string[], body: Body) => AsIf][] = [
  [
    'POST',
    /^revisions$/,
    (site, _, body) => ({
      says: 'a revision of the plan',
      answers: 'view',
      replaces: /^PUT drafts$/,
      shows: [
        shows<LoadedRevision>(`${site}/revisions/latest`, (view, made) => saved(body, made, view)),
        shows<Revision[]>(`${site}/revisions`, (view, made) => {
          const [newest] = view;
          return newest
            ? [saved(body, made, { revision: newest, plan: {} as never }).revision, ...view]
            : view;
        }),
        shows<Drafts>(`${site}/drafts`, ({ others }) => ({ others })),
      ],
    }),
  ],
  [
    'PUT',
    /^drafts$/,
    (site, _, body) => ({
      says: 'unsaved changes of the plan',
      answers: ({ at }) => ({ savedAt: at }),
      replaces: /^(PUT|DELETE) drafts$/,
      shows: [
        shows<Drafts>(`${site}/drafts`, (view, { at }) => ({ ...view, mine: { ...body, savedAt: at } })),
      ],
    }),
  ],
  [
    'DELETE',
    /^drafts$/,
    (site) => ({
      says: 'unsaved changes discarded',
      answers: 'nothing',
      replaces: /^(PUT|DELETE) drafts$/,
      shows: [shows<Drafts>(`${site}/drafts`, ({ others }) => ({ others }))],
    }),
  ],
  [
    'POST',
    /^log$/,
    (site, _, body) => ({
      says: 'an entry of the log',
      answers: 'view',
      shows: [
        shows<LogView>(`${site}/log`, (view, made) => ({
          ...view,
          entries: [
            {
              entry: body,
              madeBy: made.by,
              madeAt: made.at,
              photos: [],
              withdrawn: false,
              says: { says: WAITS, isCaution: false },
            },
            ...view.entries,
          ],
        })),
      ],
    }),
  ],
  [
    'PUT',
    /^log\/([^/]+)\/withdrawn$/,
    (site, [id], body) => ({
      says: body.withdrawn ? 'an entry of the log withdrawn' : 'an entry of the log put back',
      answers: 'view',
      shows: [
        shows<LogView>(`${site}/log`, (view) => ({
          ...view,
          entries: view.entries.map((one) =>
            one.entry.id === id ? { ...one, withdrawn: Boolean(body.withdrawn) } : one,
          ),
        })),
      ],
    }),
  ],
  [
    'POST',
    /^log\/([^/]+)\/photos$/,
    (site, [id], body) => ({
      says: 'a photo in the log',
      answers: 'view',
      photo: { address: `${site}/log-photos/${String(body.id)}`, base64: String(body.picture) },
      shows: [
        shows<LogView>(`${site}/log`, (view) => ({
          ...view,
          entries: view.entries.map((one) =>
            one.entry.id === id ? { ...one, photos: [...one.photos, String(body.id)] } : one,
          ),
        })),
      ],
    }),
  ],
  [
    'PUT',
    /^daily$/,
    (site, _, body) => ({
      says: 'daily figures',
      answers: 'view',
      shows: [
        shows<DailyFigure[]>(`${site}/daily`, (view) => {
          const typed = body.days as DailyFigure[];
          return [...view.filter((one) => !typed.some((other) => other.day === one.day)), ...typed].sort(
            (one, other) => one.day.localeCompare(other.day),
          );
        }),
      ],
    }),
  ],
  [
    'POST',
    /^commissioning\/rounds$/,
    (site, _, body) => ({
      says: 'a visit begun',
      answers: 'view',
      shows: [
        shows<CommissioningView>(`${site}/commissioning`, (view, made) => ({
          round: body.number,
          begunAt: made.at,
          begunBy: made.by,
          steps: view.steps.map(({ step }) => ({ step, photos: [] })),
        })),
      ],
    }),
  ],
  [
    'POST',
    /^commissioning\/marks$/,
    (site, _, body) => ({
      says: 'a step of the visit',
      answers: 'view',
      spoils: (view: CommissioningView) => {
        const at = view.steps.find((one) => one.step.id === body.step);
        return at?.mark?.failure === NO_NUMBER
          ? `measured: "${String(body.measured)}" is not a number of ${at.step.between?.unit}`
          : undefined;
      },
      shows: [
        shows<CommissioningView>(`${site}/commissioning`, (view, made) =>
          atStep(view, body.step, (one) => ({
            ...one,
            mark: {
              done: Boolean(body.done),
              measured: String(body.measured ?? ''),
              note: String(body.note ?? ''),
              madeBy: made.by,
              madeAt: made.at,
            },
          })),
        ),
      ],
    }),
  ],
  [
    'POST',
    /^commissioning\/photos$/,
    (site, _, body) => ({
      says: 'a photo of a step',
      answers: 'view',
      photo: { address: `${site}/commissioning/photos/${String(body.id)}`, base64: String(body.picture) },
      shows: [
        shows<CommissioningView>(`${site}/commissioning`, (view, made) =>
          atStep(view, body.step, (one) => ({
            ...one,
            photos: [...one.photos, { id: String(body.id), takenBy: made.by, takenAt: made.at }],
          })),
        ),
      ],
    }),
  ],
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

/** What a request about a site will have done, as the server will have it; undefined for one that cannot wait. */
export function asIf(method: string, path: string, body: string): AsIf | undefined {
  const [, site, rest] = /^(\/api\/sites\/[^/]+)\/(.+)$/.exec(path) ?? [];
  if (!site || !rest) return undefined;
  for (const [by, address, kind] of KINDS) {
    const found = address.exec(rest);
    if (by === method && found) return kind(site, found.slice(1), (body ? JSON.parse(body) : {}) as Body);
  }
  return undefined;
}

/** What a request is by its method and its address behind the site, as {@link AsIf.replaces} names it. */
export const kindOf = (method: string, path: string) =>
  `${method} ${path.replace(/^\/api\/sites\/[^/]+\//, '')}`;
