import type { LedgerInWattHours } from '../lib/api/api';

/** A bar of the flow picture: where energy comes from, or where it goes. */
export interface Bar {
  key: string;
  name: string;
  /** Name of a colour token, or of a hatch. */
  look: 'sun' | 'ac' | 'battery' | 'load' | 'diverted' | 'hatch';
  wattHours: number;
  top: number;
  height: number;
}

/** A band from one bar to another. */
export interface Band {
  key: string;
  look: Bar['look'];
  from: number;
  to: number;
  height: number;
}

const SOURCES = [
  ['sun', 'Sun', 'sun'],
  ['direct', 'Other direct current', 'ac'],
  ['battery', 'Battery', 'battery'],
  ['generator', 'Generator', 'ac'],
  ['feeder', 'Feeder', 'ac'],
] as const;
const USES = [
  ['loads', 'Loads and losses', 'load'],
  ['charging', 'Charged into the battery', 'battery'],
  ['diverted', 'Diverted', 'diverted'],
  ['exported', 'Given to the feeder', 'ac'],
  ['thrown', 'Thrown away', 'hatch'],
] as const;
const GAP = 14;
const LEAST = 1.5;

/**
 * Lays the ledger's flows out as bars on the left and on the right and bands between them.
 *
 * @param height of the whole picture (px)
 */
export function flowPicture(
  ledger: LedgerInWattHours,
  height: number,
): { left: Bar[]; right: Bar[]; bands: Band[] } {
  const thrown = ledger.curtailed + ledger.clipped;
  const rows = ledger.flows.map((row, source) => [...row.slice(0, 4), source === 0 ? thrown : 0]);
  const sum = (values: number[]) => values.reduce((all, one) => all + one, 0);
  const column = (use: number) => sum(rows.map((row) => row[use] ?? 0));
  const most = Math.max(1e-9, sum(rows.flat()));
  const bars = (
    kinds: readonly (readonly [string, string, Bar['look']])[],
    of: (index: number) => number,
  ): (Bar & { index: number })[] => {
    const there = kinds
      .map((kind, index) => ({ kind, index, wattHours: of(index) }))
      .filter((one) => one.wattHours > most * 1e-4);
    const room = height - GAP * Math.max(0, Math.max(there.length, 1) - 1);
    let top = 0;
    return there.map(({ kind: [key, name, look], index, wattHours }) => {
      const bar = {
        key,
        name,
        look,
        wattHours,
        top,
        height: Math.max(LEAST, (wattHours / most) * room),
        index,
      };
      top += bar.height + GAP;
      return bar;
    });
  };
  const left = bars(SOURCES, (source) => sum(rows[source] ?? []));
  const right = bars(USES, column);
  const filled = right.map((bar) => bar.top);
  const bands: Band[] = [];
  for (const source of left) {
    let from = source.top;
    right.forEach((use, i) => {
      const wattHours = rows[source.index]?.[use.index] ?? 0;
      if (wattHours <= 0) return;
      const thick = (wattHours / source.wattHours) * source.height;
      bands.push({
        key: `${source.key}-${use.key}`,
        look: use.look === 'hatch' ? 'hatch' : source.look,
        from,
        to: filled[i] ?? 0,
        height: thick,
      });
      from += thick;
      filled[i] = (filled[i] ?? 0) + thick;
    });
  }
  return { left, right, bands };
}
