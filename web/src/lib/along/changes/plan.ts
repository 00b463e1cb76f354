import type { Drafts, LoadedRevision, Revision } from '../../api/api';
import { nextLocal } from '../local';
import { shows, type Body, type Kind, type Made } from './change';

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

/** Revisions and unsaved changes. */
export const PLAN_CHANGES: Kind[] = [
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
];
