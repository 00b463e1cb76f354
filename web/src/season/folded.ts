import type { NumberedEvent } from '../lib/api/api';

/** Events that are told as one: the same thing of the same part, again and again. */
export interface Fold {
  key: string;
  events: NumberedEvent[];
}

/** From so many on the same is told once with its count. */
export const LEAST_REPEATS = 4;

/** Folds what repeats into where it first happened; the rest stays in its order. */
export function folded(events: NumberedEvent[]): Fold[] {
  const same = ({ event }: NumberedEvent) => `${event.subject} ${event.kind}`;
  const all: Record<string, NumberedEvent[]> = {};
  for (const one of events) (all[same(one)] ??= []).push(one);
  const folds: Fold[] = [];
  for (const one of events) {
    const alike = all[same(one)] ?? [];
    if (alike.length < LEAST_REPEATS) folds.push({ key: String(one.index), events: [one] });
    else if (alike[0] === one) folds.push({ key: same(one), events: alike });
  }
  return folds;
}
