import type { SiteInList } from '../lib/api/api';
import { dayWritten, daysBetween } from '../lib/sentence/days';

/** How much a site needs somebody, and why, in one line. */
export interface Need {
  /** By how much it comes first: 3 danger, 2 caution, 1 to be done some time, 0 calm. */
  rank: 0 | 1 | 2 | 3;
  says: string;
}

const counted = (count: number, one: string, many = `${one}s`) => `${count} ${count === 1 ? one : many}`;

/** What the coming days probably bring to critical loads, from a day on; empty where that is nothing to go for. */
function aheadOf({ ahead }: SiteInList, today: string): { rank: 1 | 2; says: string } | undefined {
  if (!ahead || ahead.outlook.cut === 0) return undefined;
  const { cut, weathers, likelyWithinDays } = ahead.outlook;
  if (likelyWithinDays === undefined) {
    return { rank: 1, says: `a cut in ${cut} of ${weathers} weathers within ${counted(ahead.days, 'day')}` };
  }
  const left = Math.max(1, likelyWithinDays - daysBetween(ahead.begins, today));
  return { rank: 2, says: `cut likely within ${counted(left, 'day')}` };
}

/** What a site needs on a day (as documents write it): what is grave first, at most three things. */
export function needOf(site: SiteInList, today: string): Need {
  const { plan, due } = site;
  if (site.unreadable) return { rank: 3, says: site.unreadable };
  if (!plan) return { rank: 1, says: 'still to be taken down: nothing is recorded of it yet' };
  const { DANGER = 0, CAUTION = 0 } = plan.findings;
  const ahead = aheadOf(site, today);
  const late = site.upkeep !== undefined && site.upkeep < today;
  const needs: [Need['rank'], string | false][] = [
    [3, DANGER > 0 && counted(DANGER, 'danger')],
    [2, plan.drifted > 0 && `${counted(plan.drifted, 'device')} drifted`],
    [2, CAUTION > 0 && counted(CAUTION, 'caution')],
    [2, plan.unsent > 0 && `not sent to ${counted(plan.unsent, 'device')}`],
    [ahead?.rank ?? 0, ahead ? ahead.says : false],
    [2, late && `upkeep was due on ${dayWritten(site.upkeep ?? '')}`],
    [2, due !== undefined && due.on < today && `due since ${dayWritten(due.on)}: ${due.what}`],
    [1, plan.drafts.length > 0 && `unsaved changes of ${plan.drafts.join(', ')}`],
  ];
  const open = needs
    .filter((one): one is [Need['rank'], string] => one[1] !== false)
    .sort(([a], [b]) => b - a);
  const [first] = open;
  if (first) {
    const more = open.length > 3 ? `, and ${open.length - 3} more` : '';
    const told = open.slice(0, 3).map(([, says]) => says);
    return { rank: first[0], says: told.join(', ') + more };
  }
  const next =
    site.upkeep && !(due && due.on < site.upkeep)
      ? `next: upkeep ${dayWritten(site.upkeep)}`
      : due
        ? `next: ${due.what}, due ${dayWritten(due.on)}`
        : 'no visit planned';
  const tested = site.benchTest ? `bench test ${dayWritten(site.benchTest)}` : 'no bench test yet';
  return { rank: 0, says: `${next}; ${tested}` };
}
