import type { Trace } from '../api/api';
import { energy, fixed, told } from '../sentence/quantity';

/** What every lane of a tape reads at one instant, in words with units; a lane without a number there is left out. */
export interface Readout {
  volts?: string;
  charge?: string;
  celsius?: string;
  source?: string;
  power?: string;
}

/** Which span of a trace an instant lies in; none outside. */
export function bucketAt({ fromSeconds, bucketSeconds, usedWatts }: Trace, seconds: number) {
  const bucket = Math.floor((seconds - fromSeconds) / bucketSeconds);
  return bucket >= 0 && bucket < usedWatts.length ? bucket : undefined;
}

export function span(
  low: unknown,
  high: unknown,
  digits: number,
  unit: string,
  times = 1,
): string | undefined {
  if (typeof low !== 'number' || typeof high !== 'number') return undefined;
  const from = fixed(low * times, digits);
  const to = fixed(high * times, digits);
  return from === to ? `${from} ${unit}` : `${from} to ${to} ${unit}`;
}

const watts = (value: unknown) => (typeof value === 'number' ? Math.round(value) : 0);

/** Reads a trace at an instant (s since the start of the run). */
export function readout(trace: Trace, seconds: number): Readout {
  const i = bucketAt(trace, seconds);
  if (i === undefined || typeof trace.usedWatts[i] !== 'number') return {};
  const powers: [string, unknown][] = [
    ['used', trace.usedWatts[i]],
    ['diverted', trace.divertedWatts[i]],
    ['to battery', trace.toBatteryWatts[i]],
    ['thrown away', trace.thrownAwayWatts[i]],
    ['unserved', trace.unservedWatts[i]],
  ];
  const flowing = powers.filter(([, value]) => watts(value) > 0);
  const volts = span(trace.lowBatteryVolts[i], trace.highBatteryVolts[i], 2, 'V');
  const charge = span(trace.lowStateOfCharge[i], trace.highStateOfCharge[i], 0, '%', 100);
  const warmth: unknown = trace.batteryCelsius[i];
  const celsius = typeof warmth === 'number' ? told(`${fixed(warmth, 1)} °C`) : undefined;
  return {
    ...(volts && { volts }),
    ...(charge && { charge }),
    ...(celsius && { celsius }),
    source: `${watts(trace.acSourceWatts[i])} W`,
    power: flowing.map(([name, value]) => `${name} ${watts(value)} W`).join(', ') || 'nothing flows',
  };
}

/** What a trace holds altogether, in words with units: energies of what flowed, and the lowest there was. */
export function holds(trace: Trace): string {
  const hours = trace.bucketSeconds / 3600;
  const known = (values: unknown[]) => values.filter((one): one is number => typeof one === 'number');
  const sum = (values: unknown[]) => known(values).reduce((all, one) => all + one * hours, 0);
  const flows: [string, unknown[]][] = [
    ['used', trace.usedWatts],
    ['diverted', trace.divertedWatts],
    ['into the battery', trace.toBatteryWatts],
    ['out of it', trace.fromBatteryWatts],
    ['thrown away', trace.thrownAwayWatts],
    ['unserved', trace.unservedWatts],
  ];
  const flowed = flows.map(([name, values]) => [name, sum(values)] as const).filter(([, of]) => of >= 0.5);
  const volts = known(trace.lowBatteryVolts);
  const charges = known(trace.lowStateOfCharge);
  return [
    ...flowed.map(([name, of]) => `${name} ${energy(of)}`),
    ...(volts.length > 0 ? [`lowest ${fixed(Math.min(...volts), 2)} V`] : []),
    ...(charges.length > 0 ? [`lowest charge ${fixed(100 * Math.min(...charges), 0)} %`] : []),
  ].join(', ');
}
