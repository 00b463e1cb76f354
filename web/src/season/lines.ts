import { levelName } from '../lib/shell/parts';
import type { OutputLevel } from '../lib/api/api';
import type { Line } from '../lib/tape/tape';

/** Of which outputs a tape shows the thresholds: of one, or of all. */
export const ALL = 'all';

/** The thresholds of an output as lines on the tape; of all of them with the output's name. */
export function linesOf(
  levels: OutputLevel[],
  names: Record<string, string>,
  output: string | undefined,
): Line[] {
  return levels
    .filter((level) => output === ALL || level.output === output)
    .map((level) => ({
      value: level.value,
      label: output === ALL ? levelName(names[level.output] ?? level.output, level.term) : level.term,
      percent: level.percent,
      output: level.output,
    }));
}
