import type { CommissioningView, StepAtVisit } from '../../api/api';
import { shows, type Kind } from './change';

/** What the core says of a word where a number belongs. */
const NO_NUMBER = 'no number';

/** One step of a visit changed. */
const atStep = (view: CommissioningView, id: unknown, change: (one: StepAtVisit) => StepAtVisit) => {
  // A step that came with the plan since: the core says all else of it.
  const isNew = !view.steps.some((one) => one.step.id === id);
  const steps = isNew ? [...view.steps, { step: { id }, photos: [] } as unknown as StepAtVisit] : view.steps;
  return { ...view, steps: steps.map((one) => (one.step.id === id ? change(one) : one)) };
};

/** Visits, their steps and photos. */
export const VISIT_CHANGES: Kind[] = [
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
];
