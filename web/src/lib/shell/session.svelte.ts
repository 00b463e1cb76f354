import { api, outcome, whenSignedOut, type Problem } from '../api/client';
import type { SignedIn } from '../api/api';

/** Who is signed in. */
class Session {
  person = $state<SignedIn | undefined>();
  known = $state(false);

  get mayChange() {
    return this.person?.role === 'TECHNICIAN';
  }

  async load() {
    const { data } = await outcome(api.GET('/api/session'));
    this.person = data;
    this.known = true;
  }

  async signIn(name: string, password: string): Promise<Problem | undefined> {
    const { data, problem } = await outcome(api.POST('/api/session', { body: { name, password } }));
    if (data) this.person = data;
    return problem;
  }

  /** What has to be done before a person goes; each place that keeps something says so. */
  private readonly leaving: (() => Promise<void>)[] = [];

  beforeSignOut(act: () => Promise<void>) {
    this.leaving.push(act);
  }

  async signOut() {
    await Promise.all(this.leaving.map((act) => act()));
    await outcome(api.DELETE('/api/session'));
    // A fresh page: nothing read by this person stays in memory for the next.
    location.reload();
  }
}

export const session = new Session();
whenSignedOut(() => {
  session.person = undefined;
});
