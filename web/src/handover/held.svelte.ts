import { api, outcome, type Problem } from '../lib/api/client';
import type { DeviceHeld, Handover, ReadEntry } from '../lib/api/api';
import { Kept } from '../lib/shell/kept';

/** What stands in the devices of a site, and what is being read off them. */
export class Held {
  now = $state.raw<Handover>();
  problem = $state.raw<Problem>();

  constructor(readonly site: string) {}

  async load() {
    const answer = await outcome(
      api.GET('/api/sites/{siteId}/handover', { params: { path: { siteId: this.site } } }),
    );
    this.now = answer.data ?? this.now;
    this.problem = answer.problem;
  }
}

/** One person's reading of a device: what is typed is kept in this browser until it is saved. */
export class DeviceRound {
  said = $state<Record<string, string>>({});
  problem = $state.raw<Problem>();
  busy = $state(false);
  /** Made once for what is typed: sent twice, it is kept once. */
  private id: string = crypto.randomUUID();
  private readonly kept: Kept<{ said: Record<string, string>; id: string }>;

  constructor(
    private readonly held: Held,
    private readonly device: string,
  ) {
    this.kept = new Kept(`reading.${held.site}.${device}`);
    const draft = this.kept.read();
    this.said = draft?.said ?? {};
    this.id = draft?.id ?? this.id;
  }

  get count() {
    return Object.values(this.said).filter((text) => text.trim() !== '').length;
  }

  say(place: string, text: string) {
    this.said = { ...this.said, [place]: text };
    this.kept.write({ said: this.said, id: this.id });
  }

  /** Why an entry was refused; undefined where it was not. */
  refusal(place: string): string | undefined {
    const at = place.replaceAll('.', '/');
    return this.problem?.errors
      ?.find((error) => error.pointer.replaceAll('~1', '/').replaceAll('~0', '~') === `/values/${at}`)
      ?.detail.replace(/^values\.\S+: /, '');
  }

  leave() {
    this.kept.clear();
    this.said = {};
    this.id = crypto.randomUUID();
    this.problem = undefined;
  }

  /** Keeps what was read; whether it was kept. */
  async keep(): Promise<boolean> {
    const values = Object.fromEntries(Object.entries(this.said).filter(([, text]) => text.trim() !== ''));
    this.busy = true;
    const answer = await outcome(
      api.POST('/api/sites/{siteId}/devices/{device}/readings', {
        params: { path: { siteId: this.held.site, device: this.device } },
        body: { id: this.id, values },
      }),
    );
    this.busy = false;
    this.problem = answer.problem;
    if (!answer.data) return false;
    this.held.now = answer.data;
    this.leave();
    return true;
  }
}

const entriesOf = (devices: DeviceHeld[]) => devices.flatMap((device) => device.entries);
const count = (entries: ReadEntry[], is: ReadEntry['agreement']) =>
  entries.filter((entry) => entry.agreement === is).length;
const many = (number: number, one: string) =>
  `${number} ${number === 1 ? one : one.replace(/y$/, 'ie') + 's'}`;

/** How it stands in one sentence. */
export function verdict(devices: DeviceHeld[]): string {
  const entries = entriesOf(devices);
  const [drifted, toEnter, unread] = (['DRIFTED', 'TO_ENTER', 'UNREAD'] as const).map((is) =>
    count(entries, is),
  ) as [number, number, number];
  if (unread === entries.length) return 'No device has been read yet.';
  const says = [
    drifted > 0 ? `${many(drifted, 'entry')} ${drifted === 1 ? 'is' : 'are'} not as planned` : '',
    toEnter > 0 ? `${many(toEnter, 'change')} to enter` : '',
    unread > 0 ? `${unread} not read` : '',
  ].filter(Boolean);
  if (says.length === 0) return `All ${many(entries.length, 'entry')} stand as planned.`;
  return `${says.join(', ')}, of ${many(entries.length, 'entry')}.`;
}
