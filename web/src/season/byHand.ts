import type { Plan } from '../lib/api/api';

/** The longest name of a request. */
const LONGEST = 48;

/** The request by which the lockout of an output is reset, as the engine names it. */
export const resetOf = (output: string): string => `reset-${output}`.slice(0, LONGEST);

/** What a request does, in words. */
export function requestSays(plan: Plan, request: string): string {
  const output = plan.program.outputs.find(
    (one) => one.lockout?.release === 'HAND' && resetOf(one.id) === request,
  );
  return output ? `reset the lockout of ${output.name}` : `request “${request}”`;
}

/** A time of day as a field has it, and back. */
export const clockOf = (minuteOfDay: number): string =>
  `${String(Math.floor(minuteOfDay / 60)).padStart(2, '0')}:${String(minuteOfDay % 60).padStart(2, '0')}`;
export const minuteOf = (clock: string): number | undefined => {
  const [, hours, minutes] = /^(\d{2}):(\d{2})/.exec(clock) ?? [];
  return hours === undefined ? undefined : Number(hours) * 60 + Number(minutes);
};
