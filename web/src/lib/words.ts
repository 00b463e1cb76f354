/** Field names of documents in words. */

const UNITS: [string, string][] = [
  ['AmpereHours', 'Ah'],
  ['MillivoltsPerKelvin', 'mV/K'],
  ['SquareMillimetres', 'mm²'],
  ['VoltAmperes', 'VA'],
  ['PerKelvin', '1/K'],
  ['Volts', 'V'],
  ['Amperes', 'A'],
  ['Watts', 'W'],
  ['Seconds', 's'],
  ['Celsius', '°C'],
  ['Kelvin', 'K'],
  ['Ohms', 'Ω'],
  ['Degrees', '°'],
  ['Metres', 'm'],
  ['Percent', '%'],
];

/** A field's name without its unit, in lower-case words: oneWayMetres is one way. */
export function wordsOf(field: string): string {
  const unit = UNITS.find(([end]) => field.endsWith(end) && field.length > end.length)?.[0];
  const bare = unit ? field.slice(0, -unit.length) : field;
  return (bare.match(/[A-Z]?[a-z]+|[A-Z]+(?![a-z])|\d+/g) ?? [bare]).join(' ').toLowerCase();
}

/** A field's unit by its name, or by the bracket in its description; empty where it has none. */
export function unitOf(field: string, description = ''): string {
  const byName =
    /Hours?$/.test(field) && !field.endsWith('AmpereHours')
      ? 'h'
      : UNITS.find(([end]) => field.endsWith(end))?.[1];
  const told = /\(([^)\s]{1,8})\)/.exec(description)?.[1] ?? '';
  return byName ?? (told === 'fraction' ? '' : told);
}
