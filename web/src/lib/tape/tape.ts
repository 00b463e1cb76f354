import uPlot from 'uplot';
import 'uplot/dist/uPlot.min.css';
import type { SeasonAnswer } from '../api/api';
import { LEFT, RIGHT } from './layout';

/** A threshold drawn across the voltage chart. */
export interface Line {
  volts: number;
  label: string;
}

type Ink = Record<
  'ink' | 'soft' | 'rule' | 'paper' | 'battery' | 'band' | 'load' | 'sun' | 'diverted',
  string
>;

function ink(): Ink {
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

interface Common {
  width: number;
  zone: string;
  choose: (from: number, to: number) => void;
  hover: (seconds: number | undefined) => void;
  start: number;
}

function options(
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

function times(answer: SeasonAnswer): number[] {
  const { fromSeconds, bucketSeconds, usedWatts } = answer.trace;
  const start = Date.parse(answer.start) / 1000;
  return usedWatts.map((_, i) => start + fromSeconds + (i + 0.5) * bucketSeconds);
}

/** The chart of battery voltage with its thresholds. */
export function voltageChart(
  host: HTMLElement,
  answer: SeasonAnswer,
  lines: Line[],
  height: number,
  common: Common,
) {
  const colours = ink();
  const trace = answer.trace;
  const close = trace.bucketSeconds * trace.usedWatts.length <= CLOSE_SECONDS;
  const range: uPlot.Range.Function = (_, least, most) => {
    // Looked at closely, a threshold far away would flatten what is to be seen.
    const reach = close ? Math.max(0.12, 3 * (most - least)) : Infinity;
    const levels = lines
      .map((line) => line.volts)
      .filter((volts) => volts > least - reach && volts < most + reach);
    const low = Math.min(least, ...levels);
    const high = Math.max(most, ...levels);
    const room = Math.max(close ? 0.01 : 0.05, (high - low) * 0.12);
    return [low - room, high + room];
  };
  return new uPlot(
    options(common, height, colours, false, {
      scales: { x: { time: true }, y: { range } },
      series: [
        {},
        { stroke: colours.battery, width: 1.2, points: { show: false } },
        { stroke: colours.battery, width: 1.2, points: { show: false } },
      ],
      bands: [{ series: [2, 1], fill: colours.band }],
      hooks: { draw: [(plot) => drawLines(plot, lines, colours)] },
    }),
    [times(answer), trace.lowBatteryVolts, trace.highBatteryVolts],
    host,
  );
}

function drawLines(plot: uPlot, lines: Line[], colours: Ink) {
  const { ctx, bbox } = plot;
  ctx.save();
  ctx.font = `${12 * devicePixelRatio}px "Atkinson Hyperlegible Mono"`;
  ctx.lineWidth = 1.5 * devicePixelRatio;
  for (const line of lines) {
    const y = plot.valToPos(line.volts, 'y', true);
    if (y < bbox.top || y > bbox.top + bbox.height) continue;
    ctx.strokeStyle = colours.ink;
    ctx.setLineDash([6 * devicePixelRatio, 4 * devicePixelRatio]);
    ctx.beginPath();
    ctx.moveTo(bbox.left, y);
    ctx.lineTo(bbox.left + bbox.width, y);
    ctx.stroke();
    const text = `${line.label} ${line.volts.toFixed(2)} V`;
    const width = ctx.measureText(text).width;
    const right = bbox.left + bbox.width - 6 * devicePixelRatio;
    ctx.textAlign = 'left';
    ctx.textBaseline = 'alphabetic';
    ctx.fillStyle = colours.paper;
    ctx.fillRect(
      right - width - 4 * devicePixelRatio,
      y - 17 * devicePixelRatio,
      width + 8 * devicePixelRatio,
      15 * devicePixelRatio,
    );
    ctx.fillStyle = colours.ink;
    ctx.fillText(text, right - width, y - 5 * devicePixelRatio);
  }
  ctx.restore();
}

/** The chart of true state of charge, 0 to 100 %. */
export function chargeChart(host: HTMLElement, answer: SeasonAnswer, height: number, common: Common) {
  const colours = ink();
  const percent = (share: number) => share * 100;
  const { lowStateOfCharge, highStateOfCharge } = answer.trace;
  return new uPlot(
    options(common, height, colours, false, {
      scales: { x: { time: true }, y: { range: [0, 100] } },
      series: [
        {},
        { stroke: colours.battery, width: 1.5, fill: colours.band, points: { show: false } },
        { stroke: colours.battery, width: 1.5, points: { show: false } },
      ],
    }),
    [times(answer), lowStateOfCharge.map(percent), highStateOfCharge.map(percent)],
    host,
  );
}

/** The chart of mean powers, stacked: used, diverted, to battery, thrown away, unserved. */
export function powerChart(host: HTMLElement, answer: SeasonAnswer, height: number, common: Common) {
  const colours = ink();
  const { usedWatts, divertedWatts, toBatteryWatts, thrownAwayWatts, unservedWatts } = answer.trace;
  const sum = (...parts: number[][]) =>
    usedWatts.map((_, i) => parts.reduce((all, part) => all + (part[i] ?? 0), 0));
  const stepped = uPlot.paths.stepped?.({ align: 1 });
  const area = (fill: string | CanvasPattern, stroke: string): uPlot.Series => ({
    fill: () => fill as string,
    stroke,
    width: 1,
    points: { show: false },
    ...(stepped ? { paths: stepped } : {}),
  });
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
      times(answer),
      sum(usedWatts, divertedWatts, toBatteryWatts, thrownAwayWatts, unservedWatts),
      sum(usedWatts, divertedWatts, toBatteryWatts, thrownAwayWatts),
      sum(usedWatts, divertedWatts, toBatteryWatts),
      sum(usedWatts, divertedWatts),
      usedWatts,
    ],
    host,
  );
}
