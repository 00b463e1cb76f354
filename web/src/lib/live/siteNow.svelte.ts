import { api, outcome } from '../api/client';
import type { MeasuredNow } from '../api/api';
import { decimal } from '../sentence/quantity';

const ASKED_EVERY = 10_000;
/** Where nothing is connected somebody may connect something. */
const WHERE_NOTHING_IS = 60_000;

const NUMBERS: Record<string, string> = {
  BATTERY_VOLTS: 'V',
  CHARGE_PERCENT: '%',
  ARRAY_WATTS: 'W from the arrays',
  LOAD_WATTS: 'W to loads',
};
const DIGITS: Record<string, number> = { BATTERY_VOLTS: 2, BATTERY_AMPERES: 1, CHARGE_PERCENT: 1 };

/** A number that a device measures, in words. */
export function measuredNumber(what: string, value: number): string {
  const number = decimal(Number(Math.abs(value).toFixed(DIGITS[what] ?? 0)));
  if (what !== 'BATTERY_AMPERES') return `${number} ${NUMBERS[what]}`;
  return `${number} A ${value < 0 ? 'out of' : 'into'} the battery`;
}

/** What is measured at a site right now, asked again and again while somebody looks. */
export class SiteNow {
  now = $state.raw<MeasuredNow>();
  readonly volts = $derived(this.now?.numbers.BATTERY_VOLTS);

  constructor(readonly site: string) {}

  /** Begins to ask; returns what ends that. */
  follow(): () => void {
    let ended = false;
    let next: ReturnType<typeof setTimeout>;
    const ask = async () => {
      if (document.visibilityState === 'visible') {
        const answer = await outcome(
          api.GET('/api/sites/{siteId}/now', { params: { path: { siteId: this.site } } }),
        );
        // What is not answered is not measured: an old number is never shown as one of now.
        this.now = answer.data;
      }
      if (!ended) next = setTimeout(ask, this.now?.at ? ASKED_EVERY : WHERE_NOTHING_IS);
    };
    void ask();
    return () => {
      ended = true;
      clearTimeout(next);
    };
  }
}
