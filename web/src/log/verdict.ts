import type { History } from '../lib/api/api';
import { day, decimal } from '../lib/sentence/quantity';

/** What happened in one sentence: how long it was recorded, how low the battery got, and what moved for good. */
export function verdict(history: History): string {
  const lowest = history.days.reduce((one, other) => (other.lowestVolts < one.lowestVolts ? other : one));
  const count = history.days.length;
  const days = `${count} ${count === 1 ? 'day' : 'days'} recorded: lowest ${decimal(lowest.lowestVolts, 2)} V, on ${day(lowest.date)}.`;
  const crept = history.nights?.crept;
  if (!crept) return days;
  const way = crept.afterWatts > crept.beforeWatts ? 'up' : 'down';
  return `${days} By night the draw went ${way} for good on ${day(crept.since)}.`;
}
