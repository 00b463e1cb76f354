import type { Plan } from '../lib/api/api';

/** A change of a plan: the plan before it, what it is called, and the one place it is about, if it is about one. */
export interface Step {
  plan: Plan;
  label: string;
  place: string;
}

const MOST_STEPS = 200;

/** What was done to a plan, to be undone and done again. Steps on the same place one after the other count as one. */
export class Steps {
  private undone = $state.raw<Step[]>([]);
  private done = $state.raw<Step[]>([]);

  get canUndo(): boolean {
    return this.done.length > 0;
  }

  get canRedo(): boolean {
    return this.undone.length > 0;
  }

  get last(): Step | undefined {
    return this.done.at(-1);
  }

  /** The last step, where a change of that place goes on with it. */
  at(place: string): Step | undefined {
    const isSame = place !== '' && this.last?.place === place && this.undone.length === 0;
    return isSame ? this.last : undefined;
  }

  add(step: Step): void {
    const before = this.at(step.place);
    this.done = before
      ? [...this.done.slice(0, -1), { ...before, label: step.label }]
      : [...this.done, step].slice(-MOST_STEPS);
    this.undone = [];
  }

  /** Nothing was done before this step. */
  begin(step: Step): void {
    this.done = [step];
  }

  /** The plan before the last step; undefined where there was none. */
  undo(now: Plan): Plan | undefined {
    const step = this.done.at(-1);
    if (!step) return undefined;
    this.done = this.done.slice(0, -1);
    this.undone = [...this.undone, { ...step, plan: now }];
    return step.plan;
  }

  /** The plan after the step that was undone last; undefined where there was none. */
  redo(now: Plan): Plan | undefined {
    const step = this.undone.at(-1);
    if (!step) return undefined;
    this.undone = this.undone.slice(0, -1);
    this.done = [...this.done, { ...step, plan: now }];
    return step.plan;
  }
}
