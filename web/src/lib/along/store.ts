import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import type { Plan, SignedIn, SiteInList } from '../api/api';

/** What the server answered once, kept for where it cannot be reached. */
export interface Answer {
  account: string;
  /** With its question, as it was asked for. */
  path: string;
  /** Of which site it is; empty for what is the same for all. */
  site: string;
  type: string;
  body: string;
  at: string;
}

/** A site that was taken along. */
export interface Taken {
  account: string;
  site: string;
  row: SiteInList;
  at: string;
  bytes: number;
  /** When something was sent that what is kept does not have yet. */
  oldSince?: string;
}

/** A change that waits to be sent. */
export interface Waiting {
  /** Given by the database: the order in which they were made. */
  number?: number;
  /** Made once: left for an administrator twice, it is kept once. */
  id: string;
  account: string;
  site: string;
  method: string;
  path: string;
  body: string;
  at: string;
  says: string;
  /** Why the server did not take it. */
  refused?: string;
}

/** A revision that was saved without a network: what others were made on, also once it is sent. */
export interface Base {
  account: string;
  site: string;
  /** As it was numbered here. */
  number: number;
  plan: Plan;
  /** On which revision of the server unsaved changes lie now, where it clashed with what somebody saved. */
  clashedOn?: number;
}

/** Who was signed in here last, when the server said so, and by what this browser is known. */
export interface Known {
  account: string;
  person: SignedIn;
  at: string;
  secret: string;
}

interface Schema extends DBSchema {
  answers: { key: [string, string]; value: Answer; indexes: { site: [string, string] } };
  sites: { key: [string, string]; value: Taken };
  outbox: { key: number; value: Waiting };
  bases: { key: [string, string, number]; value: Base };
  people: { key: string; value: Known };
}

/** Photos, as pictures need them: under their addresses, in a cache. */
export const PHOTOS = 'sparen-photos';

const NAME = 'sparen';
/** Goes up with what is stored how; {@link migrate} brings what is there along. */
const VERSION = 1;

export type Store = IDBPDatabase<Schema>;

/** Makes what a version lacks; what waits in the outbox stays through every one of them. */
function migrate(store: Store, from: number) {
  if (from < 1) {
    const answers = store.createObjectStore('answers', { keyPath: ['account', 'path'] });
    answers.createIndex('site', ['account', 'site']);
    store.createObjectStore('sites', { keyPath: ['account', 'site'] });
    store.createObjectStore('outbox', { keyPath: 'number', autoIncrement: true });
    store.createObjectStore('bases', { keyPath: ['account', 'site', 'number'] });
    store.createObjectStore('people', { keyPath: 'account' });
  }
}

/** What this browser keeps of the sites that were taken along. */
export const openStore = () => openDB<Schema>(NAME, VERSION, { upgrade: migrate });
