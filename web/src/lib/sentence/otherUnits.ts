/**
 * What people may type, and read if they choose to, in another unit than the plan's: Fahrenheit, wire gauge, feet, inches, gallons, and thousands or thousandths
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
  'l/kWh': [[/gal\/kwh$/, times(US_GALLON)]],
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

/** A unit that stands for the plan's own where somebody reads customary ones, and how it is turned into that and back. */
interface Customary {
  unit: string;
  shown: (value: number) => number;
  own: (shown: number) => number;
}

const by = (unit: string, factor: number): Customary => ({
  unit,
  shown: (value) => value / factor,
  own: (shown) => shown * factor,
});

const CUSTOMARY: Record<string, Customary> = {
  '°C': { unit: '°F', shown: (value) => value * 1.8 + 32, own: (shown) => (shown - 32) / 1.8 },
  K: by('°F', 1 / 1.8),
  m: by('ft', FOOT),
  'm²': by('ft²', FOOT * FOOT),
  l: by('gal', US_GALLON),
  'l/h': by('gal/h', US_GALLON),
  'l/kWh': by('gal/kWh', US_GALLON),
};

/** A gauge as it is called: 6, or 2/0. */
const gaugeName = (gauge: number) => (gauge > 0 ? String(gauge) : `${1 - gauge}/0`);

/** The gauge (AWG) nearest to a cross-section (mm²), where one is within a fiftieth of it; a cable of another size has none. */
function gaugeOf(squareMillimetresOf: number): string | undefined {
  const across = Math.sqrt((4 * squareMillimetresOf) / Math.PI);
  const gauge = Math.round(36 - (39 * Math.log(across / 0.127)) / Math.log(92));
  const isNear = Math.abs(squareMillimetres(gauge) / squareMillimetresOf - 1) <= 0.02;
  return isNear && gauge >= -3 && gauge <= 40 ? gaugeName(gauge) : undefined;
}

/** A number of the plan as it is read in customary units; undefined where the plan's own is read by everybody. */
export function inCustomary(value: number, unit: string): { value: number; unit: string } | undefined {
  const other = CUSTOMARY[unit];
  return other && { value: tidy(other.shown(value)), unit: other.unit };
}

/** The gauge that a cross-section (mm²) is called by; undefined where it has none. */
export const gaugeIn = (value: number, unit: string): string | undefined =>
  unit === 'mm²' && value > 0 ? gaugeOf(value) : undefined;

/** A number that was typed without a unit by who reads customary ones, in the plan's own. */
export function fromCustomary(shown: number, unit: string): number {
  const other = CUSTOMARY[unit];
  return other ? tidy(other.own(shown)) : shown;
}
