import { describe, expect, it } from 'vitest';
import skarvholm from '../../../demo/skarvholm.json';
import type { Plan } from '../lib/api/api';
import { switchableOf, withOutput, withoutOutput } from './outputs';

const plan = skarvholm.plan as unknown as Plan;

describe('outputs of a plan', () => {
  it('can act on all that has an enable or a contact, and on nothing else', () => {
    const ids = switchableOf(plan).map((one) => one.id);
    for (const output of plan.program.outputs) for (const load of output.loads) expect(ids).toContain(load);
    expect(ids).not.toContain(plan.site.arrays[0]?.id);
  });

  it('a new one does nothing yet, under a name of its own each time', () => {
    const first = withOutput(plan);
    const second = withOutput(first.plan);
    expect(first.output).toMatchObject({ mode: 'OFF', loads: [] });
    expect(second.output.id).not.toBe(first.output.id);
    expect(plan.program.outputs).not.toContain(first.output);
  });

  it('one that goes leaves neither origins nor a device that carries it', () => {
    const gone = plan.program.outputs[0]?.id ?? '';
    const profile = { id: 'box', name: 'box', outputs: 1, saving: 'at once', showing: 'read back' };
    const fitted = {
      ...plan,
      program: { ...plan.program, devices: [{ id: 'box', name: 'box', profile, outputs: [gone] }] },
      origins: { [`program/outputs/${gone}/protection/lvdVolts`]: { kind: 'GUESS', note: '' } },
    } as unknown as Plan;
    const left = withoutOutput(fitted, gone);
    expect(JSON.stringify(left.program)).not.toContain(`"${gone}"`);
    expect(left.origins).toEqual({});
  });
});
