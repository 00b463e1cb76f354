import type { Plan } from '../../lib/api/api';
import type { Mark, Placed } from './sketch';

/** Half of what a symbol is high and wide. */
export const HALF = 16;

/** Where each sense point reads: at the bus, at the terminals, or at its device. */
export function marksOf(plan: Plan, placed: Placed[], bus: { x: number; y: number }): Mark[] {
  const taken = new Map<string, number>();
  const place = (id: string) => placed.find((one) => one.part.id === id);
  const bank = placed.find((one) => one.part.path === 'site/battery');
  return plan.site.sensePoints.map((point) => {
    const key = point.place + (point.device ?? '');
    const rank = taken.get(key) ?? 0;
    taken.set(key, rank + 1);
    const device = point.device ? place(point.device) : undefined;
    const isTerminals = point.place === 'BATTERY_TERMINALS' && bank;
    const at = isTerminals
      ? { x: bank.x + (bank.words.before ? 30 : -36), y: bank.y + 21 * rank }
      : point.place === 'BUS' || !device
        ? { x: bus.x, y: bus.y - 16 + 21 * rank }
        : { x: device.x + 14, y: device.y - HALF + 21 * rank };
    return { path: `site/sensePoints/${point.id}`, name: point.name, ...at };
  });
}
