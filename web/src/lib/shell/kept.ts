import { session } from './session.svelte';

/** What somebody has typed and nobody has been told yet, kept in this browser: by account, and gone at sign-out. */
export class Kept<T> {
  /** @param what it is, with the site it is of */
  constructor(private readonly what: string) {}

  private get key() {
    return `sparen.draft.${session.person?.name}.${this.what}`;
  }

  /** As it was typed; undefined where nothing was. What cannot be read was never whole: it is typed again. */
  read(): T | undefined {
    const kept = localStorage.getItem(this.key);
    if (!kept) return undefined;
    try {
      return JSON.parse(kept) as T;
    } catch {
      this.clear();
      return undefined;
    }
  }

  write(value: T) {
    localStorage.setItem(this.key, JSON.stringify(value));
  }

  clear() {
    localStorage.removeItem(this.key);
  }
}
