import { gate } from '../along/gate.svelte';
import { api, outcome, whenSignedOut, type Problem } from '../api/client';
import type { SignedIn } from '../api/api';

/** Set while somebody signed out without a network: the server does not know yet. */
const ENDED = 'sparen.signed-out';

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

  /** How many changes wait that somebody who signs out has not sent: it is asked once more. */
  leavesUnsent = $state(0);

  async load() {
    const along = await gate.reopen();
    if (localStorage.getItem(ENDED) && !(await outcome(api.DELETE('/api/session'))).problem)
      localStorage.removeItem(ENDED);
    const { data, problem } = await outcome(api.GET('/api/session'));
    if (data) await along?.saw(data);
    else if (problem?.status === 401) await along?.stranger();
    this.person = data ?? (problem?.status === 0 ? along?.person : undefined);
    this.known = true;
  }

  async signIn(name: string, password: string, code?: string): Promise<Problem | undefined> {
    const body = { name, password, ...(code && { code }) };
    const { data, problem } = await outcome(api.POST('/api/session', { body }));
    if (data) {
      await gate.along?.saw(data);
      this.person = data;
    }
    return problem;
  }

  /** What has to be done before a person goes; each place that keeps something says so. */
  private readonly leaving: (() => Promise<void>)[] = [];

  beforeSignOut(act: () => Promise<void>) {
    this.leaving.push(act);
  }

  async signOut(sure = false) {
    await Promise.all(this.leaving.map((act) => act()));
    const waiting = gate.along?.waiting.length ?? 0;
    if (waiting > 0 && !sure) {
      this.leavesUnsent = waiting;
      return;
    }
    await gate.along?.wipe();
    // Where the server does not answer, it is told at the next contact.
    if ((await outcome(api.DELETE('/api/session'))).problem?.status === 0) localStorage.setItem(ENDED, 'yes');
    // A fresh page: nothing read by this person stays in memory for the next.
    location.reload();
  }
}

export const session = new Session();
whenSignedOut(() => {
  session.person = undefined;
});
