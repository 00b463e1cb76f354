import { describe, expect, it } from 'vitest';
import type { FittedDevice, Knob, Plan } from '../lib/api/api';
import type { PlanEditor } from './planEditor.svelte';
import { ProfileEdit } from './profileEdit.svelte';

const entry = (id: string) => ({ kind: 'noted', id, label: id, unit: '', choices: [], usual: '–' }) as Knob;

/** A device of three entries, one of them noted down, beside another device. */
function edited() {
  const device = {
    id: 'mppt',
    noted: [{ id: 'b', value: '7' }],
    profile: { name: 'MPPT', knobs: [entry('a'), entry('b'), entry('c')] },
  } as unknown as FittedDevice;
  const other = { id: 'other', noted: [], profile: { name: 'Other', knobs: [] } } as unknown as FittedDevice;
  const state = { plan: { program: { outputs: [], devices: [other, device] } } as unknown as Plan };
  const says: string[] = [];
  const editor = {
    take: (plan: Plan, what: string) => {
      state.plan = plan;
      says.push(what);
    },
  } as unknown as PlanEditor;
  const now = () => state.plan.program.devices?.find((one) => one.id === 'mppt') as FittedDevice;
  const edit = new ProfileEdit(() => ({ editor, plan: state.plan, device: now() }));
  const order = () => now().profile.knobs.map((one) => one.label);
  return { edit, says, now, order, others: () => state.plan.program.devices?.[0], other };
}

describe('the kind of a device that is changed', () => {
  it('keeps the entry open that was open, wherever it moves to', () => {
    const { edit, order, says } = edited();
    edit.toggle(1);
    edit.move(entry('b'), 1, -1);
    expect([order(), edit.open]).toEqual([['b', 'a', 'c'], 0]);
    edit.move(entry('a'), 1, -1);
    expect([order(), edit.open]).toEqual([['a', 'b', 'c'], 1]);
    edit.toggle(1);
    expect(edit.open).toBeUndefined();
    expect(says).toEqual(['b moved, MPPT', 'a moved, MPPT']);
  });

  it('loses with an entry what was noted of it, and nothing else', () => {
    const { edit, now, order, others, other } = edited();
    const [a, b] = now().profile.knobs as [Knob, Knob];
    edit.remove(a);
    expect([order(), now().noted]).toEqual([['b', 'c'], [{ id: 'b', value: '7' }]]);
    edit.remove(b);
    expect([order(), now().noted]).toEqual([['c'], []]);
    expect(others()).toBe(other);
  });

  it('opens an entry that is new, at the end, and changes the one that is meant', () => {
    const { edit, order, says } = edited();
    edit.add(entry('d'));
    expect([order(), edit.open]).toEqual([['a', 'b', 'c', 'd'], 3]);
    edit.change(3, { ...entry('d'), label: 'float time' });
    expect(order()).toEqual(['a', 'b', 'c', 'float time']);
    expect(says.at(-1)).toBe('float time is another entry, MPPT');
  });
});
