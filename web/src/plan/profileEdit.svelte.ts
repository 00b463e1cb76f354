import type { DeviceProfile, FittedDevice, Knob, Plan } from '../lib/api/api';
import { keyOf } from './deviceSheet';
import { moved } from './knobs';
import type { PlanEditor } from './planEditor.svelte';

/** The device whose kind is changed, in the plan it is part of. */
interface Edited {
  editor: PlanEditor;
  plan: Plan;
  device: FittedDevice;
}

/** Changes the kind of a device in the plan: each change can be taken back, and one entry of its menu is open at a time. */
export class ProfileEdit {
  /** Number of the entry that is open, from 0. */
  open = $state<number>();

  constructor(private readonly of: () => Edited) {}

  put(next: Partial<DeviceProfile>, says: string, noted = this.of().device.noted): void {
    const { editor, plan, device } = this.of();
    const devices = (plan.program.devices ?? []).map((one) =>
      one.id === device.id ? { ...one, noted, profile: { ...device.profile, ...next } } : one,
    );
    editor.take({ ...plan, program: { ...plan.program, devices } }, says);
  }

  toggle(at: number): void {
    this.open = this.open === at ? undefined : at;
  }

  change(at: number, next: Knob): void {
    this.putKnobs(
      this.knobs.map((one, i) => (i === at ? next : one)),
      `${next.label} is another entry`,
    );
  }

  move(knob: Knob, from: number, by: -1 | 1): void {
    if (this.open === from) this.open = from + by;
    else if (this.open === from + by) this.open = from;
    this.putKnobs(moved(this.knobs, from, by), `${knob.label} moved`);
  }

  /** What was written down of an entry goes with it. */
  remove(knob: Knob): void {
    const { device } = this.of();
    this.open = undefined;
    this.put(
      { knobs: this.knobs.filter((one) => one !== knob) },
      `${knob.label} is no entry any more, ${device.profile.name}`,
      device.noted.filter((one) => one.id !== keyOf(knob)),
    );
  }

  add(knob: Knob): void {
    this.open = this.knobs.length;
    this.putKnobs([...this.knobs, knob], `${knob.label} is an entry`);
  }

  private get knobs(): Knob[] {
    return this.of().device.profile.knobs;
  }

  private putKnobs(knobs: Knob[], says: string): void {
    this.put({ knobs }, `${says}, ${this.of().device.profile.name}`);
  }
}
