import type uPlot from 'uplot';
import { freeRight } from './layout';
import type { Ink, Line } from './plot';

/** What is measured now: a pointer from the right edge; the number stands above the chart. */
export function drawNow(plot: uPlot, volts: number, colours: Ink) {
  const { ctx, bbox } = plot;
  const px = devicePixelRatio;
  const y = plot.valToPos(volts, 'y', true);
  const edge = bbox.left + bbox.width;
  ctx.save();
  ctx.fillStyle = colours.ink;
  ctx.beginPath();
  ctx.moveTo(edge, y);
  ctx.lineTo(edge + 14 * px, y - 8 * px);
  ctx.lineTo(edge + 14 * px, y + 8 * px);
  ctx.fill();
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

/** Thresholds across a chart, each with its name where it covers neither a curve nor another's. */
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
