import type { NumberedEvent, OutputFigures } from '../api/api';

/** How often each output switched, by its id. */
export type Counts = Record<string, number>;

/** Counts from the events of a window; none where not all of them are there. */
export function countsOf(marks: NumberedEvent[], total: number): Counts | undefined {
  if (marks.length < total) return undefined;
  const counts: Counts = {};
  for (const { event } of marks) {
    if (event.kind === 'OPENED' || event.kind === 'CLOSED')
      counts[event.subject] = (counts[event.subject] ?? 0) + 1;
  }
  return counts;
}

/** Counts from the instants at which contacts moved, of those from one instant to another (s). */
export function countsIn(outputs: OutputFigures[], from: number, to: number): Counts {
  return Object.fromEntries(
    outputs.map((one) => [
      one.output,
      one.changeSeconds.filter((at) => at > 0 && at >= from && at <= to).length,
    ]),
  );
}

/**
 * The outline of a lane: a bar over each bucket as high as the share of it in which the contact was closed, so that a short closing
 * shows as a low mark and none is lost.
 *
 * @param shares fraction of each bucket; a word where the run is over
 * @param left where the first bucket begins (px)
 * @param wide how wide all are (px)
 * @param tall height of a whole bar (px)
 */
export function lanePath(shares: number[], left: number, wide: number, tall: number): string {
  const step = wide / shares.length;
  const LEAST = 3;
  let path = '';
  for (let i = 0; i < shares.length;) {
    const share = shares[i] ?? 0;
    let next = i + 1;
    while (next < shares.length && shares[next] === share) next++;
    if (typeof share === 'number' && share > 0) {
      const high = Math.max(LEAST, share * tall);
      const x = (left + i * step).toFixed(2);
      path += `M${x} ${(tall + 1).toFixed(1)}v${(-high).toFixed(1)}h${Math.max(1, (next - i) * step).toFixed(2)}v${high.toFixed(1)}z`;
    }
    i = next;
  }
  return path;
}
