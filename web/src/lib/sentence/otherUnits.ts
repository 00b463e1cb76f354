/**
 * What people may type in another unit than the plan's: Fahrenheit, wire gauge, feet, inches, gallons, and thousands or thousandths
 * of the plan's own. It is turned into the plan's unit once, here. Factors: NIST SP 811 (exact), gauges by ASTM B258.
 */
type Other = [suffix: RegExp, turn: (value: number) => number];

const times =
  (factor: number) =>
  (value: number): number =>
    value * factor;

const FOOT = 0.3048;
const INCH = 0.0254;
const US_GALLON = 3.785411784;

/** Cross-section (mm²) of a gauge: 36 is 0.127 mm across, each gauge less is 92^(1/39) times that; 0, −1, −2, −3 are 1/0 to 4/0. */
function squareMillimetres(gauge: number): number {
  const across = 0.127 * 92 ** ((36 - gauge) / 39);
  return (Math.PI / 4) * across * across;
}

const OTHERS: Record<string, Other[]> = {
  '°C': [[/°?f$/, (value) => (value - 32) / 1.8]],
  K: [[/°f$/, times(1 / 1.8)]],
  m: [
    [/(ft|feet|')$/, times(FOOT)],
    [/(inches|in|")$/, times(INCH)],
    [/cm$/, times(0.01)],
    [/mm$/, times(0.001)],
  ],
  'm²': [[/(ft²|sq ft)$/, times(FOOT * FOOT)]],
  'mm²': [[/awg$/, squareMillimetres]],
  l: [[/gal(lons?)?$/, times(US_GALLON)]],
  'l/h': [[/gal\/h$/, times(US_GALLON)]],
  W: [[/kw$/, times(1000)]],
  VA: [[/kva$/, times(1000)]],
  Wh: [[/kwh$/, times(1000)]],
  V: [[/mv$/, times(0.001)]],
  A: [[/ma$/, times(0.001)]],
  Ω: [[/(mω|mohm)$/, times(0.001)]],
};

/** Six digits are as exact as anything that is set; more would be dust of the conversion. */
const tidy = (value: number) => Number(value.toPrecision(6));

/**
 * A number in another unit, in the plan's own.
 *
 * @param text small letters, a point for the decimal
 * @param read reads the bare number
 */
export function fromOther(
  text: string,
  unit: string,
  read: (bare: string) => number | undefined,
): number | undefined {
  const aught = unit === 'mm²' ? /^([1-4])\/0\s*awg$/.exec(text) : null;
  if (aught) return tidy(squareMillimetres(1 - Number(aught[1])));
  for (const [suffix, turn] of OTHERS[unit] ?? []) {
    const value = suffix.test(text) ? read(text.replace(suffix, '').trim()) : undefined;
    if (value !== undefined) return tidy(turn(value));
  }
  return undefined;
}
