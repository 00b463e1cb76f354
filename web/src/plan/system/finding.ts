import type { Finding } from '../../lib/api/api';
import type { Sketch } from './sketch';

/** Something on the sketch that is chosen. */
export interface Chosen {
  path: string;
  schema: string;
}

/** What leads to a part: where a finding stands and what it is about. */
type About = Pick<Finding, 'path' | 'at'>;

/** Whether a finding is about the part at a path. */
export function stands(finding: About, path: string): boolean {
  const last = path.split('/').at(-1);
  return (
    finding.path.startsWith(`${path}/`) || finding.path === path || (finding.at !== '' && finding.at === last)
  );
}

/** The part on the sketch that a finding is about; what is said of the AC side stands at the inverter. */
export function foundBy(sketch: Sketch, finding: About): Chosen | undefined {
  const parts = sketch.placed.map((one) => one.part);
  const found =
    parts.find((one) => stands(finding, one.path)) ??
    (/^(program\/ac|site\/earthing)/.test(finding.path)
      ? parts.find((one) => one.path === 'site/inverter')
      : undefined);
  if (found) return { path: found.path, schema: found.schema };
  const mark = sketch.marks.find((one) => stands(finding, one.path));
  return mark && { path: mark.path, schema: 'SensePoint' };
}

/** The side of the sketch on which there is room beside what stands at a path. */
export function sideOf(sketch: Sketch, path: string | undefined): 'left' | 'right' {
  const at =
    sketch.placed.find((one) => one.part.path === path)?.x ??
    sketch.marks.find((one) => one.path === path)?.x ??
    sketch.contacts.find((one) => path === `program/outputs/${one.output}`)?.x ??
    0;
  return at > sketch.bus.x ? 'left' : 'right';
}
