import uPlot from 'uplot';
import type { Measurement } from '../api/api';
import { drawLines } from './levels';
import { ink, options, type Common, type Line } from './plot';

/** After so many times the usual distance between two measurements nothing is known (×): the line breaks off. */
const GAP = 5;

/** Battery voltages over time; where for long nothing was measured there is a gap. */
export function measuredVolts(measurements: Measurement[]): [number[], (number | null)[]] {
  const at: number[] = [];
  const volts: (number | null)[] = [];
  const told = measurements.filter((one) => one.numbers.BATTERY_VOLTS !== undefined);
  const times = told.map((one) => Date.parse(one.at) / 1000);
  const steps = times.slice(1).map((time, i) => time - (times[i] ?? time));
  told.forEach((one, i) => {
    const time = times[i] ?? 0;
    // What is older is kept more thinly: a gap is told by its neighbours.
    const usual = Math.max(steps[i - 2] ?? 0, steps[i] ?? 0, 10);
    if (i > 0 && (steps[i - 1] ?? 0) > GAP * usual) {
      at.push(time - 1);
      volts.push(null);
    }
    at.push(time);
    volts.push(one.numbers.BATTERY_VOLTS ?? null);
  });
  return [at, volts];
}

/** The chart of measured battery voltage with the levels of the plan. */
export function measuredChart(
  host: HTMLElement,
  measurements: Measurement[],
  lines: Line[],
  height: number,
  common: Common,
) {
  const colours = ink();
  const [at, volts] = measuredVolts(measurements);
  const range: uPlot.Range.Function = (_, least, most) => {
    const reach = Math.max(0.5, 3 * (most - least));
    const near = lines.map((line) => line.value).filter((one) => one > least - reach && one < most + reach);
    const low = Math.min(least, ...near);
    const high = Math.max(most, ...near);
    const room = Math.max(0.05, (high - low) * 0.15);
    return [low - room, high + room];
  };
  return new uPlot(
    options(common, height, colours, true, {
      scales: { x: { time: true }, y: { range } },
      series: [{}, { stroke: colours.battery, width: 1.5, points: { show: false } }],
      cursor: { drag: { x: false, y: false }, points: { show: false } },
      hooks: { draw: [(plot) => drawLines(plot, lines, colours, common.isLit)] },
    }),
    [at, volts],
    host,
  );
}
