import type {
  BenchTestView,
  CommissioningView,
  DailyFigure,
  Drafts,
  LoadedRevision,
  LogView,
  Revision,
  StepAtVisit,
} from '../api/api';
import { nextLocal } from './local';

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
}

type Body = Record<string, unknown>;
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
const atStep = (view: CommissioningView, id: unknown, change: (one: StepAtVisit) => StepAtVisit) => ({
  ...view,
  steps: view.steps.map((one) => (one.step.id === id ? change(one) : one)),
});

/** A level that was measured: whether it passed is said where the server has it. */
const measured = (test: BenchTestView, body: Body, made: Made): BenchTestView => ({
  ...test,
  steps: test.steps.map((one) => {
    if (one.step.id !== body.step) return one;
    const last = {
      instrument: '',
      note: 'waits to be judged',
      ...body,
      measuredAt: made.at,
      measuredBy: made.by,
    };
    return { ...one, times: one.times + 1, failure: undefined, last } as (typeof test.steps)[number];
  }),
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
              says: { says: 'Waits to be sent.', isCaution: false },
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
    /^bench-tests\/([^/]+)\/results$/,
    (site, [id], body) => ({
      says: 'a level measured on the bench',
      answers: 'view',
      shows: [
        shows<BenchTestView>(`${site}/bench-tests/${id}`, (test, made) => measured(test, body, made)),
        shows<BenchTestView[]>(`${site}/bench-tests`, (tests, made) =>
          tests.map((one) => (one.id === id ? measured(one, body, made) : one)),
        ),
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
