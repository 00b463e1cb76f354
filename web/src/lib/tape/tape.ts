import uPlot from 'uplot';
import type { Trace } from '../api/api';
import { read } from '../sentence/quantity';
import { drawLines, drawNow } from './levels';
import { ink, options, type Common, type Ink, type Line } from './plot';
import type { Recorded } from './recorded';

/** What a tape shows: a window of a run, and where its time begins (s since the epoch). */
export interface Shown {
  trace: Trace;
  start: number;
  /** What was recorded at the site on these days. */
  recorded?: Recorded | undefined;
}

function hatch(stroke: string, ground: string, rising: boolean): CanvasPattern | string {
  const size = Math.round(7 * devicePixelRatio);
  const tile = document.createElement('canvas');
  tile.width = tile.height = size;
  const pen = tile.getContext('2d');
  if (!pen) return ground;
  pen.fillStyle = ground;
  pen.fillRect(0, 0, size, size);
  pen.strokeStyle = stroke;
  pen.lineWidth = 1.6 * devicePixelRatio;
  pen.beginPath();
  for (const shift of [-size, 0, size]) {
    pen.moveTo(shift, rising ? size : 0);
    pen.lineTo(shift + size, rising ? 0 : size);
  }
  pen.stroke();
  return pen.createPattern(tile, 'repeat') ?? ground;
}

/** From this span on down thresholds far from the voltage are left out of the picture (s). */
const CLOSE_SECONDS = 6 * 3600;

function times({ trace, start }: Shown): number[] {
  const { fromSeconds, bucketSeconds, usedWatts } = trace;
  return usedWatts.map((_, i) => start + fromSeconds + (i + 0.5) * bucketSeconds);
}

type Numbers = (number | null)[];

/** A number beyond the run is sent as a word; in a chart it is a gap. */
const gaps = (values: Numbers) => values.map((value) => (typeof value === 'number' ? value : null));

/** Least and most as a band, for the run and, as lines alone, for one beside it and for what was recorded. */
function bands(
  shown: Shown,
  second: Trace | undefined,
  colours: Ink,
  of: (trace: Trace) => [Numbers, Numbers],
  recorded: Numbers[],
) {
  const line = (stroke: string, dash?: number[], width = 1.2): uPlot.Series => ({
    stroke,
    width,
    points: { show: false },
    ...(dash ? { dash } : {}),
  });
  const [low, high] = of(shown.trace);
  const [low2, high2] = second ? of(second) : [[], []];
  const series = [{}, line(colours.battery), line(colours.battery)];
  const data: uPlot.AlignedData = [times(shown), gaps(low), gaps(high)];
  if (second) {
    series.push(line(colours.load, [4, 3]), line(colours.load, [4, 3]));
    data.push(gaps(low2), gaps(high2));
  }
  for (const one of recorded) {
    series.push(line(colours.ink, undefined, 1.6));
    data.push(gaps(one));
  }
  return { series, data, bands: [{ series: [2, 1] as [number, number], fill: colours.band }] };
}

/** The chart of battery voltage with its thresholds. */
export function voltageChart(
  host: HTMLElement,
  shown: Shown,
  second: Trace | undefined,
  lines: Line[],
  height: number,
  common: Common,
) {
  const colours = ink();
  const trace = shown.trace;
  const close = trace.bucketSeconds * trace.usedWatts.length <= CLOSE_SECONDS;
  const volts = lines.filter((line) => !line.percent);
  const range: uPlot.Range.Function = (_, least, most) => {
    // Looked at closely, a threshold far away would flatten what is to be seen.
    const reach = close ? Math.max(0.12, 3 * (most - least)) : Infinity;
    const levels = volts
      .map((line) => line.value)
      .filter((value) => value > least - reach && value < most + reach);
    const now = common.now?.();
    if (now !== undefined) levels.push(now);
    const low = Math.min(least, ...levels);
    const high = Math.max(most, ...levels);
    const room = Math.max(close ? 0.01 : 0.05, (high - low) * 0.12);
    return [low - room, high + room];
  };
  const { data, ...rest } = bands(
    shown,
    second,
    colours,
    (one) => [one.lowBatteryVolts, one.highBatteryVolts],
    shown.recorded ? [shown.recorded.lowVolts, shown.recorded.highVolts] : [],
  );
  return new uPlot(
    options(common, height, colours, false, {
      scales: { x: { time: true }, y: { range } },
      ...rest,
      hooks: {
        draw: [
          (plot) => {
            drawLines(plot, volts, colours, common.isLit);
            const now = common.now?.();
            if (now !== undefined) drawNow(plot, now, colours);
          },
        ],
      },
    }),
    data,
    host,
  );
}

/** The chart of true state of charge, 0 to 100 %, with its thresholds. */
export function chargeChart(
  host: HTMLElement,
  shown: Shown,
  second: Trace | undefined,
  lines: Line[],
  height: number,
  common: Common,
) {
  const colours = ink();
  const percent = (shares: Numbers): Numbers =>
    shares.map((share) => (typeof share === 'number' ? share * 100 : share));
  const { data, ...rest } = bands(
    shown,
    second,
    colours,
    (one) => [percent(one.lowStateOfCharge), percent(one.highStateOfCharge)],
    shown.recorded?.charge ? [percent(shown.recorded.charge)] : [],
  );
  return new uPlot(
    options(common, height, colours, false, {
      scales: { x: { time: true }, y: { range: [0, 100] } },
      ...rest,
      hooks: {
        draw: [
          (plot) =>
            drawLines(
              plot,
              lines.filter((line) => line.percent),
              colours,
              common.isLit,
            ),
        ],
      },
    }),
    data,
    host,
  );
}

const stepped = () => {
  const paths = uPlot.paths.stepped?.({ align: 1 });
  return paths ? { paths } : {};
};

function area(fill: string | CanvasPattern, stroke: string): uPlot.Series {
  return { fill: () => fill as string, stroke, width: 1, points: { show: false }, ...stepped() };
}

/** The chart of mean powers, stacked: used, diverted, to battery, thrown away, unserved. */
export function powerChart(host: HTMLElement, shown: Shown, height: number, common: Common) {
  const colours = ink();
  const { usedWatts, divertedWatts, toBatteryWatts, thrownAwayWatts, unservedWatts } = shown.trace;
  const sum = (...parts: number[][]) =>
    gaps(usedWatts).map((first, i) =>
      first === null ? null : parts.reduce((all, part) => all + (part[i] ?? 0), 0),
    );
  return new uPlot(
    options(common, height, colours, true, {
      scales: { x: { time: true }, y: { range: (_, __, most) => [0, Math.max(1, most * 1.08)] } },
      series: [
        {},
        area(hatch(colours.paper, colours.ink, false), colours.ink),
        area(hatch(colours.sun, colours.paper, true), colours.sun),
        area(colours.battery, colours.battery),
        area(colours.diverted, colours.diverted),
        area(colours.load, colours.load),
      ],
    }),
    [
      times(shown),
      sum(usedWatts, divertedWatts, toBatteryWatts, thrownAwayWatts, unservedWatts),
      sum(usedWatts, divertedWatts, toBatteryWatts, thrownAwayWatts),
      sum(usedWatts, divertedWatts, toBatteryWatts),
      sum(usedWatts, divertedWatts),
      sum(usedWatts),
    ],
    host,
  );
}

/** The chart of what was taken from AC sources; the part of generators filled. */
export function sourceChart(host: HTMLElement, shown: Shown, height: number, common: Common) {
  const colours = ink();
  const { acSourceWatts, generatorWatts } = shown.trace;
  return new uPlot(
    options(common, height, colours, false, {
      scales: { x: { time: true }, y: { range: (_, __, most) => [0, Math.max(1, most * 1.1)] } },
      series: [{}, area('transparent', colours.ac), area(colours.ac, colours.ac)],
    }),
    [times(shown), gaps(acSourceWatts), gaps(generatorWatts)],
    host,
  );
}

/** The chart of battery temperature, in the unit that is read. */
export function temperatureChart(host: HTMLElement, shown: Shown, height: number, common: Common) {
  const colours = ink();
  return new uPlot(
    options(common, height, colours, false, {
      scales: {
        x: { time: true },
        y: { range: (_, least, most) => [Math.floor(least - 1), Math.ceil(most + 1)] },
      },
      series: [{}, { stroke: colours.ink, width: 1.2, points: { show: false } }],
    }),
    [times(shown), gaps(shown.trace.batteryCelsius).map((one) => (one === null ? null : read(one, '°C')))],
    host,
  );
}
