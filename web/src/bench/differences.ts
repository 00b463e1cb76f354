import type { Event } from '../lib/api/api';

/** A difference between what a script does on two plans. */
export interface Differs {
  subject: string;
  kind: Event['kind'];
  /** When it happens on the first and on the second (s); absent where it does not. */
  first?: number;
  second?: number;
}

const SAME_SECONDS = 0.05;

/** What of two tapes is not the same: the n-th moving of an output against the n-th, earliest first. */
export function differences(first: Event[], second: Event[]): Differs[] {
  const found: Differs[] = [];
  const keys = new Set([...first, ...second].map((event) => `${event.subject}|${event.kind}`));
  for (const key of keys) {
    const [subject = '', kind] = key.split('|') as [string, Event['kind']];
    const times = (events: Event[]) =>
      events
        .filter((event) => event.subject === subject && event.kind === kind)
        .map((event) => event.seconds);
    const [a, b] = [times(first), times(second)];
    for (let i = 0; i < Math.max(a.length, b.length); i++) {
      const [one, other] = [a[i], b[i]];
      if (one !== undefined && other !== undefined && Math.abs(one - other) < SAME_SECONDS) continue;
      found.push({
        subject,
        kind,
        ...(one === undefined ? {} : { first: one }),
        ...(other === undefined ? {} : { second: other }),
      });
    }
  }
  return found.sort((x, y) => (x.first ?? x.second ?? 0) - (y.first ?? y.second ?? 0));
}
