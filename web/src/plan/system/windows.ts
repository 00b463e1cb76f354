import type { AcWindow, DailySpan, Plan } from '../../lib/api/api';

/** A stretch of the day (h), as it stands on a band of 24 hours. */
export interface Stretch {
  from: number;
  to: number;
  /** What it is, in words, and as a sign on the band. */
  says: string;
  sign: string;
  look: string;
}

const LOOKS: Record<AcWindow['kind'], string> = {
  CHARGE: 'bg-ac text-paper',
  HOLD: 'border border-rule-strong bg-sunk',
  DISCHARGE: 'bg-battery text-paper',
};

/** A span cut at midnight: one stretch, or two. */
export function stretches(when: DailySpan, says: string, look: string, sign = says): Stretch[] {
  const { fromHour: from, toHour: to } = when;
  if (to > from) return [{ from, to, says, sign, look }];
  return [
    { from, to: 24, says, sign, look },
    { from: 0, to, says, sign, look },
  ].filter((one) => one.to > one.from);
}

/** What a window does, in a few words. */
export function windowWords(window: AcWindow): string {
  const percent = `${String(Math.round(window.stateOfCharge * 100))} %`;
  if (window.kind === 'HOLD') return 'AC feeds, the battery is held';
  const watts = window.watts === undefined ? '' : `${String(window.watts)} W`;
  if (window.kind === 'CHARGE') return `AC charges${watts && ` with ${watts}`} to ${percent}`;
  const out = window.toGrid ? ', out to the grid too,' : '';
  return `the battery ${watts ? `gives ${watts}` : 'feeds'}${out} down to ${percent}`;
}

/** The same where there is room for a sign: what it charges or gives to. */
function sign(window: AcWindow): string {
  const percent = String(Math.round(window.stateOfCharge * 100));
  return { CHARGE: `↑${percent}`, HOLD: '=', DISCHARGE: `↓${percent}` }[window.kind];
}

/** The windows on their band, in their order: of two at once the first counts. */
export function windowStretches(windows: AcWindow[]): Stretch[] {
  return windows.flatMap((one) => stretches(one.when, windowWords(one), LOOKS[one.kind], sign(one)));
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
