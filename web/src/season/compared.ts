import { shownNumber } from '../lib/along/local';
import type { Plan, Revision } from '../lib/api/api';
import { withPlace } from '../lib/plan/planPath';

/** What can stand beside the plan as it is now, besides the kept revisions: as numbers that no revision has. */
export const OTHERWISE = -1;
export const WITHOUT_WINDOWS = -2;
export const AS_WRITTEN = -3;

/** What a second run is called. */
export const nameOf = (chosen: number) =>
  chosen === OTHERWISE
    ? 'the other conditions'
    : chosen === WITHOUT_WINDOWS
      ? 'no windows'
      : chosen === AS_WRITTEN
        ? 'all as written'
        : `revision ${shownNumber(chosen)}`;

/** The same where there is little room. */
export const shortNameOf = (chosen: number) => (chosen >= 0 ? `rev. ${shownNumber(chosen)}` : 'other');

/** Each that can be chosen at a plan, with what it says. */
export function choicesFor(plan: Plan, revisions: Revision[]): [number, string][] {
  return [
    [OTHERWISE, 'other weather, battery or load'],
    ...(plan.program.ac?.windows?.length
      ? [[WITHOUT_WINDOWS, 'the same without its windows'] as [number, string]]
      : []),
    ...(plan.program.devices?.length
      ? [[AS_WRITTEN, 'the same as written, whatever devices make of it'] as [number, string]]
      : []),
    ...revisions.map((one): [number, string] => [
      one.number,
      `${nameOf(one.number)}${one.name ? `: ${one.name}` : ''}`,
    ]),
  ];
}

/** The plan at hand in one of these ways; none for the number of a revision. */
export function variantOf(plan: Plan, number: number): Plan | undefined {
  if (number === OTHERWISE) return plan;
  if (number === WITHOUT_WINDOWS) return withoutWindows(plan);
  if (number === AS_WRITTEN) return asWritten(plan);
  return undefined;
}

/** What charges in windows only charges at all times without them: else nothing would. */
function withoutWindows(plan: Plan): Plan {
  const ac = plan.program.ac;
  const charging = ac?.charging === 'IN_WINDOWS' ? 'BOTH' : ac?.charging;
  return withPlace(plan, ['program', 'ac'], { ...ac, charging, windows: [] });
}

/** Every number as the plan has it, whatever the devices make of it. */
function asWritten(plan: Plan): Plan {
  return { ...plan, program: { ...plan.program, devices: [], links: [], unsent: [], drifted: [] } };
}
