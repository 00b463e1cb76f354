import type { Plan } from '../lib/api/api';
import { withPlace } from '../lib/plan/planPath';

/** What can be compared beside the kept revisions, as numbers that no revision has. */
export const NOW = -1;
export const WITHOUT_WINDOWS = -2;
export const AS_WRITTEN = -3;

/** The plan at hand in one of these ways; none for the number of a revision. */
export function variantOf(plan: Plan, number: number): Plan | undefined {
  if (number === NOW) return plan;
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
