import type { DailyFigure, LogView } from '../../api/api';
import { WAITS } from '../views';
import { shows, type Kind } from './change';

/** Entries of the log with their photos, and daily figures. */
export const LOG_CHANGES: Kind[] = [
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
];
