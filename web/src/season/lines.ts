import { levelName } from '../lib/shell/parts';
import type { OutputLevel } from '../lib/api/api';
import type { Line } from '../lib/tape/plot';

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

/**
 * The thresholds of two plans: one line where they agree, otherwise each with whose it is, the first being as things are now. Of one output
 * the second's stand beside the first's of the same term, which is not said twice.
 */
export function bothLines(now: Line[], second: Line[], name: string, brief = false): Line[] {
  const key = (line: Line) => `${line.label} ${line.value} ${line.percent}`;
  const [ofNow, ofSecond] = [now, second].map((lines) => lines.map(key));
  return [
    ...now.map((line) => (ofSecond?.includes(key(line)) ? line : { ...line, label: `now ${line.label}` })),
    ...second
      .filter((line) => !ofNow?.includes(key(line)))
      .map((line) => ({ ...line, label: brief ? name : `${name} ${line.label}` })),
  ];
}
