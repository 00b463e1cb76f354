import uPlot from 'uplot';
import type { FitResult, RecordedTrace } from '../lib/api/api';
import { drawLines } from '../lib/tape/levels';
import { ink, options, type Common, type Line } from '../lib/tape/plot';

type Numbers = (number | null)[];

/** Room above and below, with the levels that are near. */
function range(lines: Line[]): uPlot.Range.Function {
  return (_, least, most) => {
    const near = lines
      .filter((line) => !line.percent)
      .map((line) => line.value)
      .filter((one) => one > least - 0.6 && one < most + 0.6);
    const low = Math.min(least, ...near);
    const high = Math.max(most, ...near);
    const room = Math.max(0.05, (high - low) * 0.12);
    return [low - room, high + room];
  };
}

/** Lowest and highest recorded voltage of each bucket, with the levels of the plan. */
export function recordedChart(
  host: HTMLElement,
  trace: RecordedTrace,
  lines: Line[],
  height: number,
  common: Common,
) {
  const colours = ink();
  const low = trace.lowVolts as Numbers;
  const high = trace.highVolts as Numbers;
  const at = low.map((_, i) => trace.fromSeconds + (i + 0.5) * trace.bucketSeconds);
  return new uPlot(
    options(common, height, colours, true, {
      scales: { x: { time: true }, y: { range: range(lines) } },
      series: [
        {},
        { stroke: colours.battery, width: 1, points: { show: false } },
        { stroke: colours.battery, width: 1, points: { show: false } },
      ],
      bands: [{ series: [1, 2], fill: colours.battery }],
      cursor: { drag: { x: false, y: false }, points: { show: false } },
      hooks: { draw: [(plot) => drawLines(plot, lines, colours, common.isLit)] },
    }),
    [at, high, low],
    host,
  );
}

/** Measured voltage, and that of the model with the plan's numbers and with the fitted ones. */
export function fitChart(host: HTMLElement, fit: FitResult, height: number, common: Common) {
  const colours = ink();
  const of = (value: (one: FitResult['curve'][number]) => number) => fit.curve.map(value);
  return new uPlot(
    options(common, height, colours, true, {
      scales: { x: { time: true }, y: { range: range([]) } },
      series: [
        {},
        { stroke: colours.battery, width: 1.5, points: { show: false } },
        { stroke: colours.ink, width: 1, dash: [2, 3], points: { show: false } },
        { stroke: colours.focus, width: 1, dash: [6, 3], points: { show: false } },
      ],
      cursor: { drag: { x: false, y: false }, points: { show: false } },
    }),
    [
      of((one) => one.seconds),
      of((one) => one.measuredVolts),
      of((one) => one.asPlannedVolts),
      of((one) => one.fittedVolts),
    ],
    host,
  );
}

/** Lowest voltage of each day: recorded, and simulated beside it. */
export function besideChart(
  host: HTMLElement,
  days: { date: string; lowestVolts?: number | undefined; simulatedVolts?: number | undefined }[],
  lines: Line[],
  height: number,
  common: Common,
) {
  const colours = ink();
  const of = (value: (one: (typeof days)[number]) => number | undefined): Numbers =>
    days.map((one) => value(one) ?? null);
  return new uPlot(
    options(common, height, colours, true, {
      scales: { x: { time: true }, y: { range: range(lines) } },
      series: [
        {},
        { stroke: colours.battery, width: 2, points: { show: false } },
        { stroke: colours.ink, width: 1.2, dash: [6, 4], points: { show: false } },
      ],
      cursor: { drag: { x: false, y: false }, points: { show: false } },
      hooks: { draw: [(plot) => drawLines(plot, lines, colours, common.isLit)] },
    }),
    [
      days.map((one) => Date.parse(`${one.date}T12:00:00Z`) / 1000),
      of((one) => one.lowestVolts),
      of((one) => one.simulatedVolts),
    ],
    host,
  );
}
