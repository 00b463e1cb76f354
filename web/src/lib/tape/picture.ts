import type { RunSummary, RunView } from '../api/api';
import { lanePath } from './lanes';
import type { Line } from './plot';

/** What a picture of a tape is drawn from. */
export interface Drawn {
  title: string;
  run: RunSummary;
  view: RunView;
  lines: Line[];
  names: Record<string, string>;
  zone: string;
}

const WIDE = 1200;
const LEFT = 70;
const RIGHT = 20;
const INNER = WIDE - LEFT - RIGHT;
// On paper: always the light ground, whatever the screen has.
const INK = '#17211b';
const SOFT = '#47534b';
const RULE = '#d3cab8';
const BATTERY = '#1b5f46';
const BAND = '#b9d6c8';
const LOAD = '#6d2f5f';
const AREAS = [
  ['usedWatts', LOAD, 'used'],
  ['divertedWatts', '#b0563b', 'diverted'],
  ['toBatteryWatts', BATTERY, 'to battery'],
  ['thrownAwayWatts', 'url(#thrown)', 'thrown away'],
  ['unservedWatts', 'url(#unserved)', 'unserved'],
] as const;

const escaped = (text: string) =>
  text.replace(
    /[&<>"]/g,
    (sign) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' })[sign] ?? sign,
  );
const isNumber = (value: unknown): value is number => typeof value === 'number';

class Sheet {
  parts: string[] = [];
  y = 46;

  text(x: number, y: number, words: string, more = '') {
    this.parts.push(`<text x="${x}" y="${y}" ${more}>${escaped(words)}</text>`);
  }

  /** A frame with two numbers on its axis; gives how values stand in it. */
  frame(name: string, height: number, least: number, most: number, digits: number) {
    const top = this.y + 18;
    this.text(LEFT, this.y + 12, name, `fill="${SOFT}"`);
    this.parts.push(
      `<path d="M${LEFT} ${top}H${LEFT + INNER}M${LEFT} ${top + height}H${LEFT + INNER}" stroke="${RULE}"/>`,
    );
    this.text(LEFT - 6, top + 11, most.toFixed(digits), `text-anchor="end" fill="${SOFT}"`);
    this.text(LEFT - 6, top + height, least.toFixed(digits), `text-anchor="end" fill="${SOFT}"`);
    this.y = top + height + 8;
    return (value: number) => top + height - ((value - least) / Math.max(1e-9, most - least)) * height;
  }
}

function band(low: number[], high: number[], y: (value: number) => number): string {
  const step = INNER / low.length;
  const there = low.map((value, i) => [value, high[i], LEFT + (i + 0.5) * step] as const);
  const good = there.filter(([a, b]) => isNumber(a) && isNumber(b));
  const upper = good.map(([, b, x]) => `${x.toFixed(1)} ${y(b ?? 0).toFixed(1)}`);
  const lower = good.map(([a, , x]) => `${x.toFixed(1)} ${y(a).toFixed(1)}`).reverse();
  return `<path d="M${[...upper, ...lower].join('L')}z" fill="${BAND}" stroke="${BATTERY}"/>`;
}

function extremes(...series: number[][]): [number, number] {
  let least = Infinity;
  let most = -Infinity;
  for (const value of series.flat()) {
    if (isNumber(value)) {
      least = Math.min(least, value);
      most = Math.max(most, value);
    }
  }
  return least > most ? [0, 1] : [least, most];
}

function chart(
  sheet: Sheet,
  name: string,
  height: number,
  low: number[],
  high: number[],
  lines: Line[],
  digits: number,
) {
  const levels = lines.map((line) => line.value);
  const [least, most] = extremes(low, high, levels);
  const y = sheet.frame(name, height, least, most, digits);
  sheet.parts.push(band(low, high, y));
  for (const line of lines) {
    const at = y(line.value).toFixed(1);
    sheet.parts.push(`<path d="M${LEFT} ${at}H${LEFT + INNER}" stroke="${INK}" stroke-dasharray="6 4"/>`);
    sheet.text(
      LEFT + INNER - 4,
      Number(at) - 3,
      `${line.label} ${line.value.toFixed(digits)}`,
      'text-anchor="end"',
    );
  }
}

function powers(sheet: Sheet, view: RunView) {
  const { trace } = view;
  const sums = trace.usedWatts.map(() => 0);
  const [, most] = extremes(
    trace.usedWatts.map((_, i) => AREAS.reduce((all, [key]) => all + (Number(trace[key][i]) || 0), 0)),
  );
  const y = sheet.frame('Power, W', 150, 0, Math.max(1, most), 0);
  const step = INNER / sums.length;
  for (const [key, fill, name] of AREAS) {
    let path = '';
    trace[key].forEach((watts, i) => {
      const from = sums[i] ?? 0;
      const value = Number(watts) || 0;
      if (value > 0) {
        const x = (LEFT + i * step).toFixed(1);
        path += `M${x} ${y(from).toFixed(1)}V${y(from + value).toFixed(1)}h${step.toFixed(2)}V${y(from).toFixed(1)}z`;
      }
      sums[i] = from + value;
    });
    sheet.parts.push(`<path d="${path}" fill="${fill}"><title>${name}</title></path>`);
  }
  AREAS.forEach(([, fill, name], i) => {
    const x = LEFT + 90 + i * 130;
    sheet.parts.push(
      `<rect x="${x}" y="${sheet.y - 179}" width="18" height="11" fill="${fill}" stroke="${SOFT}" stroke-width="0.5"/>`,
    );
    sheet.text(x + 24, sheet.y - 169, name, `fill="${SOFT}"`);
  });
}

/** The tape that is shown as a picture of its own (SVG), for a report: always simulated, and it says so. */
export function tapePicture({ title, run, view, lines, names, zone }: Drawn): string {
  const { trace } = view;
  const sheet = new Sheet();
  const time = (seconds: number) =>
    new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium', timeStyle: 'short', timeZone: zone }).format(
      Date.parse(run.start) + seconds * 1000,
    );
  const end = trace.fromSeconds + trace.bucketSeconds * trace.usedWatts.length;
  chart(
    sheet,
    'Battery voltage, V',
    170,
    trace.lowBatteryVolts,
    trace.highBatteryVolts,
    lines.filter((line) => !line.percent),
    2,
  );
  const percent = (shares: number[]) => shares.map((share) => (isNumber(share) ? share * 100 : share));
  chart(
    sheet,
    'State of charge, %',
    90,
    percent(trace.lowStateOfCharge),
    percent(trace.highStateOfCharge),
    lines.filter((line) => line.percent),
    0,
  );
  powers(sheet, view);
  for (const [output, shares] of Object.entries(view.lanes)) {
    sheet.text(LEFT, sheet.y + 12, names[output] ?? output, `fill="${SOFT}"`);
    sheet.parts.push(
      `<g transform="translate(0 ${sheet.y + 15})"><path d="M${LEFT} 15H${LEFT + INNER}" stroke="${RULE}"/>` +
        `<path d="${lanePath(shares, LEFT, INNER, 14)}" fill="${LOAD}"/></g>`,
    );
    sheet.y += 34;
  }
  sheet.text(LEFT, sheet.y + 16, time(trace.fromSeconds));
  sheet.text(LEFT + INNER, sheet.y + 16, time(end), 'text-anchor="end"');
  sheet.text(LEFT + INNER / 2, sheet.y + 16, 'Simulated: no proof of safety', 'text-anchor="middle"');
  const height = sheet.y + 30;
  return (
    `<svg xmlns="http://www.w3.org/2000/svg" width="${WIDE}" height="${height}" viewBox="0 0 ${WIDE} ${height}" ` +
    `font-family="sans-serif" font-size="12" fill="${INK}">` +
    '<defs><pattern id="thrown" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">' +
    '<rect width="6" height="6" fill="#fff"/><rect width="2" height="6" fill="#b5730b"/></pattern>' +
    '<pattern id="unserved" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(-45)">' +
    `<rect width="6" height="6" fill="${INK}"/><rect width="1.6" height="6" fill="#fff"/></pattern></defs>` +
    `<rect width="${WIDE}" height="${height}" fill="#fff"/>` +
    `<text x="${LEFT}" y="30" font-size="20" font-weight="700">${escaped(title)}</text>${sheet.parts.join('')}</svg>`
  );
}

/** Hands a picture to the browser as a file: as it is, or drawn into pixels. */
export async function savePicture(svg: string, name: string, asPixels: boolean) {
  const source = URL.createObjectURL(new Blob([svg], { type: 'image/svg+xml' }));
  let address = source;
  if (asPixels) {
    const image = new Image();
    // As data: the page's policy allows no other pictures.
    image.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(svg)}`;
    await image.decode();
    const canvas = document.createElement('canvas');
    canvas.width = image.width * 2;
    canvas.height = image.height * 2;
    canvas.getContext('2d')?.drawImage(image, 0, 0, canvas.width, canvas.height);
    address = canvas.toDataURL('image/png');
  }
  const link = document.createElement('a');
  link.href = address;
  link.download = `${name}.${asPixels ? 'png' : 'svg'}`;
  link.click();
  setTimeout(() => URL.revokeObjectURL(source), 1000);
}
