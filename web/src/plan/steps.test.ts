import { describe, expect, it } from 'vitest';
import type { Plan } from '../lib/api/api';
import { Steps } from './steps.svelte';

const plan = (name: string) => ({ name }) as unknown as Plan;

describe('what was done to a plan', () => {
  it('is undone in the order it was done, and done again', () => {
    const steps = new Steps();
    steps.add({ plan: plan('a'), label: 'LVD up', place: 'lvd' });
    steps.add({ plan: plan('b'), label: 'LVR up', place: 'lvr' });
    expect(steps.undo(plan('c'))).toEqual(plan('b'));
    expect(steps.undo(plan('b'))).toEqual(plan('a'));
    expect(steps.canUndo).toBe(false);
    expect(steps.redo(plan('a'))).toEqual(plan('b'));
    expect(steps.redo(plan('b'))).toEqual(plan('c'));
    expect(steps.redo(plan('c'))).toBeUndefined();
  });

  it('counts as one where it goes on at the same place, but not once it was undone, nor for the whole plan', () => {
    const steps = new Steps();
    steps.add({ plan: plan('a'), label: '11.5 → 11.6', place: 'lvd' });
    steps.add({ plan: plan('b'), label: '11.5 → 11.7', place: 'lvd' });
    expect(steps.last).toEqual({ plan: plan('a'), label: '11.5 → 11.7', place: 'lvd' });
    expect(steps.undo(plan('c'))).toEqual(plan('a'));
    steps.add({ plan: plan('a'), label: '11.5 → 11.8', place: 'lvd' });
    expect(steps.canRedo).toBe(false);
    steps.add({ plan: plan('d'), label: 'a part is new', place: '' });
    steps.add({ plan: plan('e'), label: 'another is new', place: '' });
    expect(steps.undo(plan('f'))).toEqual(plan('e'));
    expect(steps.undo(plan('e'))).toEqual(plan('d'));
  });

  it('is kept for two hundred steps', () => {
    const steps = new Steps();
    for (let i = 0; i < 250; i++) steps.add({ plan: plan(String(i)), label: '', place: `at ${i}` });
    let undone = 0;
    let now: Plan | undefined = plan('now');
    while (now && steps.canUndo) {
      now = steps.undo(now);
      undone++;
    }
    expect(undone).toBe(200);
    expect(now).toEqual(plan('50'));
  });
});
