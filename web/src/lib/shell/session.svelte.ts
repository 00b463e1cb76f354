import { api, outcome, whenSignedOut, type Problem } from '../api/client';
import type { SignedIn } from '../api/api';

export type Role = SignedIn['role'];

/** A role as it is said. */
export const ROLES: [Role, string][] = [
  ['OBSERVER', 'observer'],
  ['TECHNICIAN', 'technician'],
  ['ADMINISTRATOR', 'administrator'],
];
export const roleTold = (role: Role) => ROLES.find(([key]) => key === role)?.[1] ?? role;

/** Who is signed in. */
class Session {
  person = $state<SignedIn | undefined>();
  known = $state(false);

  /** Whether anything at all: new sites, and those that no crew keeps from it. */
  get mayChange() {
    return this.person !== undefined && this.person.role !== 'OBSERVER';
  }

  mayChangeAt(site: string) {
    return this.mayChange && !this.person?.onlySees.includes(site);
  }

  get administers() {
    return this.person?.role === 'ADMINISTRATOR';
  }

  async load() {
    const { data } = await outcome(api.GET('/api/session'));
    this.person = data;
    this.known = true;
  }

  async signIn(name: string, password: string, code?: string): Promise<Problem | undefined> {
    const body = { name, password, ...(code && { code }) };
    const { data, problem } = await outcome(api.POST('/api/session', { body }));
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
