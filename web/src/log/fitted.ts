import type { Estimate, FitResult } from '../lib/api/api';
import { believable, decimal } from '../lib/sentence/quantity';

const WORDS: Record<Estimate['quantity'], string> = {
  CAPACITY: 'capacity',
  RESISTANCE_AT_ONCE: 'resistance at once',
  RESISTANCE_IN_THE_END: 'resistance in the end',
  VOLTAGE_OFFSET: 'voltage read too high by',
  UNSEEN_AMPERES: 'flows out past the shunt',
  ARRAY_FACTOR: 'arrays, of what the plan has',
};

export const quantityWords = (one: Estimate) => WORDS[one.quantity];

/** A fitted number with its unit; resistances in mΩ, as they are spoken of. */
export function fittedNumber(one: Estimate, value: number): string {
  return one.quantity.startsWith('RESISTANCE')
    ? `${believable(value * 1000)} mΩ`
    : one.quantity === 'ARRAY_FACTOR'
      ? `${believable(value * 100)} %`
      : `${believable(value)} ${unit(one)}`;
}

const unit = (one: Estimate) =>
  ({ CAPACITY: 'Ah', VOLTAGE_OFFSET: 'V', UNSEEN_AMPERES: 'A' })[one.quantity as 'CAPACITY'] ?? '';

/** Less than this no meter of the hand tells (V, A). */
const WORTH_IT: Partial<Record<Estimate['quantity'], number>> = {
  VOLTAGE_OFFSET: 0.02,
  UNSEEN_AMPERES: 0.05,
};

/** Whether the data say another number than the plan has, and one that matters. */
export const isOther = (one: Estimate) =>
  one.cannotTell === undefined &&
  (one.planned < one.lowest || one.planned > one.highest) &&
  Math.abs(one.value - one.planned) >= (WORTH_IT[one.quantity] ?? 0);

/** How well the model knows the battery, in one sentence. */
export function fitVerdict(fit: FitResult): string {
  if (fit.cannot) return `Nothing can be fitted: ${fit.cannot}.`;
  const before = decimal(fit.asPlannedVolts * 1000, 0);
  const after = decimal(fit.fittedVolts * 1000, 0);
  return `The plan’s battery is off by ${before} mV, the fitted one by ${after} mV.`;
}
