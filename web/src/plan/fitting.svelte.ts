import type { DeviceProfile, FittedDevice } from '../lib/api/api';
import { api, outcome, type Problem } from '../lib/api/client';
import type { PlanEditor } from './planEditor.svelte';

/** What is known of a device and the settings it is meant to hold. */
export const STATES = [
  ['sent', 'holds these settings'],
  ['unsent', 'not sent yet'],
  ['drifted', 'read back: holds others'],
] as const;

/** A kind of device that is still to be made. */
export const NEW = 'new';
const EMPTY: DeviceProfile = {
  id: 'own',
  name: 'A kind of our own',
  outputs: 1,
  rules: [],
  knobs: [],
  codes: [],
  hidings: [],
  saving: 'at once',
  showing: 'it is read back',
};

/** What is wrong with a file, and at which of its entries. */
function refusalOf(problem: Problem, file: string): string {
  const said = problem.errors?.map((one) => `${one.pointer.slice(1).replaceAll('/', ' › ')}: ${one.detail}`);
  return `${file} is refused. ${said?.join('; ') ?? problem.detail ?? ''}`;
}

/** The devices a program is fitted with, and one that is being fitted. */
export class Fitting {
  kinds = $state.raw<DeviceProfile[]>();
  /** Those that were taken from files. */
  private own = $state.raw<DeviceProfile[]>([]);
  problem = $state<Problem>();
  /** Whether one is being fitted. */
  open = $state(false);
  kind = $state('');
  name = $state('');
  outputs = $state<string[]>([]);
  charger = $state('');
  inverter = $state('');
  monitor = $state('');

  constructor(private readonly editor: PlanEditor) {}

  /** Kinds that ship, those of one's own that were taken from files, and those that this site's devices carry and no other has. */
  readonly offered = $derived.by(() => {
    const all = [...(this.kinds ?? []), ...this.own];
    for (const { profile } of this.devices) {
      if (!all.some((one) => JSON.stringify(one) === JSON.stringify(profile))) all.push(profile);
    }
    return all;
  });

  private readonly program = $derived.by(() => this.editor.plan?.program);
  private readonly site = $derived.by(() => this.editor.plan?.site);
  readonly devices = $derived(this.program?.devices ?? []);
  private readonly taken = $derived(this.devices.flatMap((device) => device.outputs ?? []));
  readonly chosen = $derived(this.kind === NEW ? EMPTY : this.offered[Number(this.kind)]);
  /** Outputs that are in no device yet. */
  readonly free = $derived((this.program?.outputs ?? []).filter((one) => !this.taken.includes(one.id)));
  /** Chargers whose setpoints no device holds yet. */
  readonly chargers = $derived(
    (this.program?.charging ?? [])
      .map((one) => one.controller)
      .filter((id) => !this.devices.some((one) => one.charger === id)),
  );

  /** Inverters and monitors whose settings no device holds yet. */
  readonly inverters = $derived(
    [this.site?.inverter]
      .flatMap((one) => one ?? [])
      .filter((one) => !this.devices.some((device) => device.inverter === one.id)),
  );
  readonly monitors = $derived(
    (this.site?.monitors ?? []).filter((one) => !this.devices.some((device) => device.monitor === one.id)),
  );

  /** Whether the chosen kind has a setting of a part of the plan. */
  sets(...parts: string[]): boolean {
    const isOf = (setting: string) => parts.includes(setting.split('.')[0] ?? '');
    return this.chosen?.knobs.some((one) => one.kind !== 'noted' && isOf(one.setting)) ?? false;
  }

  /** Reads the kinds of devices that are known. */
  async load() {
    const answer = await outcome(api.GET('/api/device-profiles'));
    this.problem = answer.problem;
    this.kinds = answer.data;
    this.kind ||= '0';
  }

  /** Takes a kind of device of one's own from a file, where every entry names what a plan has. */
  async take(file: File) {
    let read: unknown;
    try {
      read = JSON.parse(await file.text());
    } catch (broken) {
      const detail = `${file.name} is not JSON: ${(broken as Error).message}`;
      this.problem = { type: 'about:blank', status: 0, detail };
      return;
    }
    const answer = await outcome(api.POST('/api/device-profiles/check', { body: read as DeviceProfile }));
    this.problem = answer.problem && { ...answer.problem, detail: refusalOf(answer.problem, file.name) };
    if (!answer.data) return;
    this.own = [...this.own, answer.data];
    this.kind = String((this.kinds ?? []).length + this.own.length - 1);
  }

  /** Fits the device that was chosen; its id. */
  fit(): string | undefined {
    if (!this.chosen) return undefined;
    let number = this.devices.length + 1;
    while (this.devices.some((one) => one.id === `device-${number}`)) number++;
    const device: FittedDevice = {
      id: `device-${number}`,
      name: this.name.trim() || this.chosen.name,
      profile: this.chosen,
      outputs: this.outputs,
      noted: [],
      ...(this.charger === '' ? {} : { charger: this.charger }),
      ...(this.inverter === '' ? {} : { inverter: this.inverter }),
      ...(this.monitor === '' ? {} : { monitor: this.monitor }),
    };
    const unsent = [...(this.program?.unsent ?? []), device.id];
    this.editor.set(
      ['program'],
      { ...this.program, devices: [...this.devices, device], unsent },
      () => `${device.name} carries part of the program`,
    );
    this.open = false;
    this.name = '';
    this.outputs = [];
    this.charger = '';
    this.inverter = '';
    this.monitor = '';
    return device.id;
  }

  remove(device: FittedDevice) {
    if (!this.program) return;
    const { unsent, drifted, links } = this.program;
    this.editor.set(
      ['program'],
      {
        ...this.program,
        devices: this.devices.filter((one) => one.id !== device.id),
        unsent: without(device, unsent),
        drifted: without(device, drifted),
        links: (links ?? []).filter((link) => link.ends.every((end) => end.fitted !== device.id)),
      },
      () => `${device.name} carries nothing any more`,
    );
  }

  stateOf(device: FittedDevice): string {
    if (this.program?.drifted?.includes(device.id)) return 'drifted';
    return this.program?.unsent?.includes(device.id) ? 'unsent' : 'sent';
  }

  setStateOf(device: FittedDevice, state: string) {
    if (!this.program) return;
    const unsent = [...without(device, this.program.unsent), ...(state === 'unsent' ? [device.id] : [])];
    const drifted = [...without(device, this.program.drifted), ...(state === 'drifted' ? [device.id] : [])];
    const word = STATES.find(([key]) => key === state)?.[1] ?? state;
    this.editor.set(['program'], { ...this.program, unsent, drifted }, () => `${device.name}: ${word}`);
  }
}

function without(device: FittedDevice, ids?: string[]): string[] {
  return (ids ?? []).filter((id) => id !== device.id);
}
