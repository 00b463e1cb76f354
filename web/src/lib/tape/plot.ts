import uPlot from 'uplot';
import 'uplot/dist/uPlot.min.css';
import { LEFT, RIGHT } from './layout';

/** A threshold drawn across a chart: a voltage (V) or a state of charge (%). */
export interface Line {
  value: number;
  label: string;
  percent: boolean;
  /** Of which output it is. */
  output?: string;
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
/** How wide a letter of it is (px). */
const LETTER = 7.5;

/** Labels of the time axis in a zone: days, or clock times with the day at midnight. */
function ticks(step: number, zone: string): (seconds: number) => string {
  const format = (options: Intl.DateTimeFormatOptions) =>
    new Intl.DateTimeFormat('en-GB', { ...options, timeZone: zone });
  const day = format({ day: 'numeric', month: 'short' });
  const clock = format({ hour: '2-digit', minute: '2-digit', ...(step < 60 ? { second: '2-digit' } : {}) });
  return (seconds) => {
    const time = clock.format(seconds * 1000);
    return step >= 86_400 || /^00:00(:00)?$/.test(time) ? day.format(seconds * 1000) : time;
  };
}

/** Whether a label would reach beyond the right end of its chart, where it could not be read whole. */
function isCut(plot: uPlot, seconds: number, label: string): boolean {
  return LEFT + plot.valToPos(seconds, 'x') + (label.length * LETTER) / 2 > plot.width;
}

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
        values: (plot, splits, _, __, step) => {
          const tick = ticks(step, common.zone);
          return splits.map((seconds) => {
            const label = tick(seconds);
            return isCut(plot, seconds, label) ? '' : label;
          });
        },
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
