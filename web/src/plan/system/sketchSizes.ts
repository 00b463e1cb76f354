/** Height of a row (px). */
export const ROW = 48;
/** Half of what can be pressed, across the wire. */
export const REACH = 21;
/** What hangs on a part in a row of its own stands so much further in. */
export const INDENT = 64;
/** Where what stands across a wide sketch, and a narrow one (px). */
export const WIDE = {
  width: 1120,
  array: 172,
  supply: 262,
  supplyContact: 426,
  bus: 466,
  contact: 506,
  user: 560,
  inner: 768,
  innerContact: 800,
  load: 842,
};
export const NARROW = {
  width: 360,
  bus: 12,
  contact: 38,
  part: 74,
  inner: 74,
  innerContact: 100,
  innerPart: 136,
};
