import uPlot from 'uplot';
import 'uplot/dist/uPlot.min.css';
import type { Trace } from '../api/api';
import { freeRight, LEFT, RIGHT } from './layout';
import type { Recorded } from './recorded';

/** A threshold drawn across a chart: a voltage (V) or a state of charge (%). */
export interface Line {
  value: number;
  label: string;
  percent: boolean;
  /** Of which output it is. */
  output?: string;
}

/** What a tape shows: a window of a run, and where its time begins (s since the epoch). */
export interface Shown {
  trace: Trace;
  start: number;
  /** What was recorded at the site on these days. */
  recorded?: Recorded | undefined;
}

export type Ink = Record<
  'ink' | 'soft' | 'rule' | 'paper' | 'battery' | 'band' | 'load' | 'sun' | 'diverted' | 'ac' | 'focus',
  string
>;

export function ink(): Ink {
  const style = getComputedStyle(document.documentElement);
  const token = (name: string) => style.getPropertyValue(name).trim();
  return {
    ink: token('--ink'),
    soft: token('--ink-soft'),
    rule: token('--rule'),
    paper: token('--paper'),
    battery: token('--battery'),
    band: token('--battery-soft'),
    load: token('--load'),
    sun: token('--sun'),
    diverted: token('--diverted'),
    ac: token('--ac'),
    focus: token('--focus'),
  };
}

const FONT = '12px "Atkinson Hyperlegible Mono"';

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

/** Labels of the time axis in a zone: days, or clock times with the day at midnight. */
function ticks(splits: number[], step: number, zone: string): string[] {
  const format = (options: Intl.DateTimeFormatOptions) =>
    new Intl.DateTimeFormat('en-GB', { ...options, timeZone: zone });
  const day = format({ day: 'numeric', month: 'short' });
  const clock = format({ hour: '2-digit', minute: '2-digit', ...(step < 60 ? { second: '2-digit' } : {}) });
  return splits.map((seconds) => {
    const time = clock.format(seconds * 1000);
    return step >= 86_400 || /^00:00(:00)?$/.test(time) ? day.format(seconds * 1000) : time;
  });
}

/** From this span on down thresholds far from the voltage are left out of the picture (s). */
const CLOSE_SECONDS = 6 * 3600;

export interface Common {
  /** Whether a line is the one that the pointer or the focus is on, as far as is known when it is drawn. */
  isLit: (line: Line) => boolean;
  width: number;
  zone: string;
  choose: (from: number, to: number) => void;
  hover: (seconds: number | undefined) => void;
  start: number;
  /** What is measured at the battery right now (V): it stands at the right end. */
  now?: () => number | undefined;
}

export function options(
  common: Common,
  height: number,
  colours: Ink,
  time: boolean,
  rest: Pick<uPlot.Options, 'series'> & Partial<uPlot.Options>,
): uPlot.Options {
  const grid = { stroke: colours.rule, width: 1 };
  const axis = { stroke: colours.soft, font: FONT, grid, ticks: { stroke: colours.rule, width: 1, size: 4 } };
  return {
    width: common.width,
    height,
    padding: [8, RIGHT, time ? 0 : 6, 0],
    legend: { show: false },
    cursor: { sync: { key: 'tape' }, drag: { x: true, y: false, setScale: false }, points: { show: false } },
    tzDate: (seconds) => uPlot.tzDate(new Date(seconds * 1000), common.zone),
    axes: [
      {
        ...axis,
        show: time,
        size: 30,
        space: 96,
        values: (_, splits, __, ___, step) => ticks(splits, step, common.zone),
      },
      { ...axis, size: LEFT, gap: 6 },
    ],
    scales: { x: { time: true } },
    ...rest,
    hooks: {
      ...rest.hooks,
      setSelect: [
        (plot) => {
          if (plot.select.width > 3) {
            const at = (px: number) => plot.posToVal(px, 'x') - common.start;
            common.choose(at(plot.select.left), at(plot.select.left + plot.select.width));
          }
          plot.setSelect({ left: 0, top: 0, width: 0, height: 0 }, false);
        },
      ],
      setCursor: [
        (plot) => {
          const left = plot.cursor.left ?? -1;
          common.hover(left < 0 ? undefined : plot.posToVal(left, 'x') - common.start);
        },
      ],
    },
  };
}

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

/** What is measured now: a pointer from the right edge, and the number. */
function drawNow(plot: uPlot, volts: number, colours: Ink) {
  const { ctx, bbox } = plot;
  const px = devicePixelRatio;
  const y = plot.valToPos(volts, 'y', true);
  const edge = bbox.left + bbox.width;
  const text = `measured now ${volts.toFixed(2)} V`;
  ctx.save();
  ctx.font = `bold ${12 * px}px "Atkinson Hyperlegible Mono"`;
  const width = ctx.measureText(text).width + 10 * px;
  ctx.fillStyle = colours.ink;
  ctx.beginPath();
  ctx.moveTo(edge - 10 * px, y);
  ctx.lineTo(edge + 12 * px, y - 8 * px);
  ctx.lineTo(edge + 12 * px, y + 8 * px);
  ctx.fill();
  ctx.fillRect(edge - 14 * px - width, y - 9 * px, width, 18 * px);
  ctx.fillStyle = colours.paper;
  ctx.textAlign = 'left';
  ctx.textBaseline = 'middle';
  ctx.fillText(text, edge - 9 * px - width, y + 1 * px);
  ctx.restore();
}

/** Labels of levels: how high, how far above their line, how far apart, and by how much they give way (px). */
const LABEL_HEIGHT = 14;
const LABEL_ABOVE = 16;
const LABEL_APART = 15;
const STEP = 8;

/** Whether a curve goes through a box. */
function isOnCurve(plot: uPlot, left: number, right: number, top: number, bottom: number): boolean {
  const px = devicePixelRatio;
  const index = (at: number) => plot.posToIdx((at - plot.bbox.left) / px);
  const from = Math.max(0, index(left) - 1);
  const to = index(right) + 2;
  return plot.data.slice(1).some((values) => {
    const there = [...(values ?? [])].slice(from, to).filter((one) => typeof one === 'number');
    const ys = there.map((value) => plot.valToPos(value, 'y', true));
    return ys.length > 0 && Math.min(...ys) < bottom && Math.max(...ys) > top;
  });
}

export function drawLines(plot: uPlot, lines: Line[], colours: Ink, isLit: (line: Line) => boolean) {
  const { ctx, bbox } = plot;
  const px = devicePixelRatio;
  const labels: { left: number; right: number; y: number }[] = [];
  ctx.save();
  ctx.font = `${12 * px}px "Atkinson Hyperlegible Mono"`;
  ctx.lineWidth = 1.2 * px;
  const there = [...lines]
    .sort((one, other) => other.value - one.value)
    .map((line) => ({ line, y: plot.valToPos(line.value, 'y', true) }))
    .filter(({ y }) => y >= bbox.top && y <= bbox.top + bbox.height);
  ctx.strokeStyle = colours.ink;
  ctx.setLineDash([6 * px, 4 * px]);
  for (const { line, y } of there) {
    ctx.lineWidth = (isLit(line) ? 3 : 1.2) * px;
    ctx.strokeStyle = isLit(line) ? colours.focus : colours.ink;
    ctx.beginPath();
    ctx.moveTo(bbox.left, y);
    ctx.lineTo(bbox.left + bbox.width, y);
    ctx.stroke();
  }
  for (const { line, y } of there) {
    const text = `${line.label} ${line.value.toFixed(line.percent ? 0 : 2)} ${line.percent ? '%' : 'V'}`;
    const width = ctx.measureText(text).width + 8 * px;
    const top = Math.max(bbox.top, y - LABEL_ABOVE * px);
    const right = freeRight(
      { left: bbox.left, right: bbox.left + bbox.width - 2 * px },
      width,
      STEP * px,
      (left, end) =>
        labels.some(
          (one) => Math.abs(one.y - y) < LABEL_APART * px && end + STEP * px > one.left && left < one.right,
        ),
      (left, end) => isOnCurve(plot, left, end, top, top + LABEL_HEIGHT * px),
    );
    labels.push({ left: right - width, right, y });
    ctx.fillStyle = colours.paper;
    ctx.fillRect(right - width, top, width, LABEL_HEIGHT * px);
    ctx.fillStyle = isLit(line) ? colours.focus : colours.ink;
    ctx.textAlign = 'left';
    ctx.textBaseline = 'alphabetic';
    ctx.fillText(text, right - width + 4 * px, top + 11 * px);
  }
  ctx.restore();
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

/** The chart of battery temperature. */
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
    [times(shown), gaps(shown.trace.batteryCelsius)],
    host,
  );
}
