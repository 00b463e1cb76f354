/** Room for the axis on the left and to the right of the tape (px): charts and lanes line up by it. */
export const LEFT = 62;
export const RIGHT = 14;

/** The right edge of a label that covers neither others nor a curve, as far right as can be; where there is none, no others. */
export function freeRight(
  room: { left: number; right: number },
  width: number,
  step: number,
  isTaken: (left: number, right: number) => boolean,
  isCurve: (left: number, right: number) => boolean,
): number {
  const places: number[] = [];
  for (let right = room.right; right - width >= room.left; right -= step) {
    if (!isTaken(right - width, right)) places.push(right);
  }
  return places.find((right) => !isCurve(right - width, right)) ?? places[0] ?? room.right;
}
