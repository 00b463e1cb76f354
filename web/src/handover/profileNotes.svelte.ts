import { api, outcome, type Outcome, type Problem } from '../lib/api/client';
import type { ProfileNote } from '../lib/api/api';

/** What was seen at the kinds of devices that a site has. */
export class ProfileNotes {
  all = $state.raw<ProfileNote[]>([]);
  problem = $state.raw<Problem>();
  /** Why what was done last was refused, and at which device. */
  refused = $state.raw<{ device: string; problem: Problem }>();
  /** A note that was taken down, to be put back. */
  gone = $state.raw<ProfileNote>();

  constructor(readonly site: string) {}

  of(device: string) {
    return this.all.filter((one) => one.device === device);
  }

  private get path() {
    return { siteId: this.site };
  }

  async load() {
    const answer = await outcome(
      api.GET('/api/sites/{siteId}/profile-notes', { params: { path: this.path } }),
    );
    this.all = answer.data ?? this.all;
    this.problem = answer.problem;
  }

  private async take(device: string, call: Promise<Outcome<ProfileNote[]>>): Promise<boolean> {
    const answer = await call;
    this.refused = answer.problem ? { device, problem: answer.problem } : undefined;
    this.all = answer.data ?? this.all;
    return !answer.problem;
  }

  async add(device: string, text: string, firmware: string | undefined): Promise<boolean> {
    const body = { id: crypto.randomUUID(), device, text, firmware };
    const params = { path: this.path };
    const kept = await this.take(
      device,
      outcome(api.POST('/api/sites/{siteId}/profile-notes', { params, body })),
    );
    if (kept) this.gone = undefined;
    return kept;
  }

  async withdraw(note: ProfileNote) {
    const params = { path: { ...this.path, note: note.id } };
    const went = await this.take(
      note.device,
      outcome(api.DELETE('/api/sites/{siteId}/profile-notes/{note}', { params })),
    );
    if (went) this.gone = note;
  }
}
