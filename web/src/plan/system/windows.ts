import type { AcWindow, DailySpan, Plan } from '../../lib/api/api';

/** A stretch of the day (h), as it stands on a band of 24 hours. */
export interface Stretch {
  from: number;
  to: number;
  says: string;
  look: string;
}

const LOOKS: Record<AcWindow['kind'], string> = {
  CHARGE: 'bg-ac text-paper',
  HOLD: 'border border-rule-strong bg-sunk',
  DISCHARGE: 'bg-battery text-paper',
};

/** A span cut at midnight: one stretch, or two. */
export function stretches(when: DailySpan, says: string, look: string): Stretch[] {
  const { fromHour: from, toHour: to } = when;
  if (to > from) return [{ from, to, says, look }];
  return [
    { from, to: 24, says, look },
    { from: 0, to, says, look },
  ].filter((one) => one.to > one.from);
}

/** What a window does, in a few words. */
export function windowWords(window: AcWindow): string {
  const percent = `${String(Math.round(window.stateOfCharge * 100))} %`;
  if (window.kind === 'HOLD') return 'hold';
  const watts = window.watts === undefined ? '' : ` ${String(window.watts)} W`;
  const out = window.toGrid ? ' to the grid' : '';
  return window.kind === 'CHARGE' ? `charge${watts} to ${percent}` : `give${watts}${out} to ${percent}`;
}

/** The windows on their band, in their order: of two at once the first counts. */
export function windowStretches(windows: AcWindow[]): Stretch[] {
  return windows.flatMap((one) => stretches(one.when, windowWords(one), LOOKS[one.kind]));
}

/** The prices of the site's feeders on their band; the dearer the darker. */
export function priceStretches(plan: Plan): Stretch[] {
  const feeders = (plan.site.acSources ?? []).filter((one) => one.kind === 'feeder');
  const bands = feeders.flatMap((one) => one.bands ?? []);
  const prices = bands.map((one) => one.importPerKilowattHour);
  const [least, most] = [Math.min(...prices), Math.max(...prices)];
  return bands.flatMap((band) => {
    const price = band.importPerKilowattHour;
    const dear = most > least && price - least > (most - least) / 2;
    const look = dear ? 'bg-caution text-paper' : 'border border-rule-strong bg-sunk';
    return stretches(band.when, String(price), look);
  });
}
