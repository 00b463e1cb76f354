import { api, outcome, type Outcome, type Problem } from '../lib/api/client';
import type { LiveNow, NewConnection, TransferView, WiredDevice } from '../lib/api/api';

const LOOKS_EVERY = 700;
const MEASURES_EVERY = 10_000;

/** The devices of a site that have a wire. */
export class Wires {
  now = $state.raw<WiredDevice[]>([]);
  problem = $state.raw<Problem>();

  constructor(readonly site: string) {}

  async load() {
    const answer = await outcome(
      api.GET('/api/sites/{siteId}/wires', { params: { path: { siteId: this.site } } }),
    );
    this.now = answer.data ?? this.now;
    this.problem = answer.problem;
  }
}

/** One device on the wire: where it answers, what it measures, what goes into it. */
export class DeviceWire {
  problem = $state.raw<Problem>();
  live = $state.raw<LiveNow>();
  /** Why nothing is measured. */
  silent = $state.raw<Problem>();
  /** What is under way: which button was pressed. */
  busy = $state('');
  private looking?: ReturnType<typeof setTimeout>;

  constructor(
    private readonly wires: Wires,
    readonly device: string,
    /** What to do once something else stands in the device. */
    private readonly changed: () => void,
  ) {}

  private get path() {
    return { siteId: this.wires.site, device: this.device };
  }

  private transferPath(transfer: TransferView) {
    return { siteId: this.wires.site, transfer: transfer.id };
  }

  /** Does one thing at a time; whether it went well. */
  private async act<T>(what: string, call: () => Promise<Outcome<T>>): Promise<boolean> {
    if (this.busy) return false;
    this.busy = what;
    const answer = await call();
    this.problem = answer.problem;
    await this.wires.load();
    this.busy = '';
    return !answer.problem;
  }

  connect(connection: NewConnection) {
    return this.act('connect', () =>
      outcome(
        api.PUT('/api/sites/{siteId}/devices/{device}/connection', {
          params: { path: this.path },
          body: connection,
        }),
      ),
    );
  }

  disconnect() {
    this.live = undefined;
    return this.act('disconnect', () =>
      outcome(api.DELETE('/api/sites/{siteId}/devices/{device}/connection', { params: { path: this.path } })),
    );
  }

  async read() {
    const went = await this.act('read', () =>
      outcome(
        api.POST('/api/sites/{siteId}/devices/{device}/connection/readings', {
          params: { path: this.path },
          body: { id: crypto.randomUUID() },
        }),
      ),
    );
    if (went) this.changed();
  }

  async prepare() {
    await this.act('prepare', () =>
      outcome(
        api.POST('/api/sites/{siteId}/devices/{device}/transfers', {
          params: { path: this.path },
          body: { id: crypto.randomUUID() },
        }),
      ),
    );
    // It was read on the way, whatever came of it.
    this.changed();
  }

  compare(transfer: TransferView, shown: Record<string, string>, meterVolts?: number) {
    return this.act('compare', () =>
      outcome(
        api.POST('/api/sites/{siteId}/transfers/{transfer}/display', {
          params: { path: this.transferPath(transfer) },
          body: { shown, meterVolts },
        }),
      ),
    );
  }

  async send(transfer: TransferView, how: 'sending' | 'rolling-back', password?: number) {
    const params = { path: this.transferPath(transfer) };
    const body = { password };
    const begun = await this.act(how, () =>
      outcome(
        how === 'sending'
          ? api.POST('/api/sites/{siteId}/transfers/{transfer}/sending', { params, body })
          : api.POST('/api/sites/{siteId}/transfers/{transfer}/rolling-back', { params, body }),
      ),
    );
    if (begun) this.look();
  }

  leave(transfer: TransferView) {
    return this.act('leave', () =>
      outcome(
        api.POST('/api/sites/{siteId}/transfers/{transfer}/leaving', {
          params: { path: this.transferPath(transfer) },
        }),
      ),
    );
  }

  /** Looks how far it is for as long as something is being written. */
  look() {
    clearTimeout(this.looking);
    this.looking = setTimeout(async () => {
      await this.wires.load();
      const one = this.wires.now.find((each) => each.device === this.device)?.transfer;
      if (one?.running) this.look();
      else this.changed();
    }, LOOKS_EVERY);
  }

  /** Measures again and again; returns what ends that. */
  follow(): () => void {
    let ended = false;
    let next: ReturnType<typeof setTimeout>;
    const measure = async () => {
      if (document.visibilityState === 'visible' && !this.busy) {
        const answer = await outcome(
          api.GET('/api/sites/{siteId}/devices/{device}/live', { params: { path: this.path } }),
        );
        this.live = answer.data ?? this.live;
        // While it is written to nobody else asks it.
        this.silent = answer.problem?.status === 409 ? this.silent : answer.problem;
      }
      if (!ended) next = setTimeout(measure, MEASURES_EVERY);
    };
    void measure();
    return () => {
      ended = true;
      clearTimeout(next);
      clearTimeout(this.looking);
    };
  }
}
