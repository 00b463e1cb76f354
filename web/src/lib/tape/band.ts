/** A voltage over time as a band between its least and its most in each span, and the ends of its axis. */
export interface Band {
  path: string;
  least: number;
  most: number;
}

/**
 * Outlines a band in a box.
 *
 * @param low least of each span; a word where there is none
 * @param high most of each
 * @param wide how wide the box is (px)
 * @param tall how tall (px)
 * @param room above and below (px)
 * @param span the axis shows so much at least, in the unit of what is drawn
 * @returns none where nothing is to be drawn
 */
export function bandOf(
  low: number[],
  high: number[],
  wide: number,
  tall: number,
  room: number,
  span: number,
): Band | undefined {
  const there = low
    .map((least, i) => ({ least, most: high[i] ?? least, i }))
    .filter((one) => typeof one.least === 'number');
  if (there.length === 0) return undefined;
  const least = Math.min(...there.map((one) => one.least));
  const most = Math.max(...there.map((one) => one.most), least + span);
  const y = (value: number) => room + (1 - (value - least) / (most - least)) * (tall - 2 * room);
  const point = (i: number, value: number) =>
    `${(((i + 0.5) / low.length) * wide).toFixed(1)} ${y(value).toFixed(1)}`;
  const up = there.map((one) => point(one.i, one.most));
  const down = there.map((one) => point(one.i, one.least)).reverse();
  return { path: `M${[...up, ...down].join('L')}z`, least, most };
}
