import type { Along } from './along.svelte';

/** Set while sites are taken along in this browser: only then what it takes is loaded. */
const FLAG = 'sparen.along';

/** The door to what was taken along; shut, and light, until somebody takes something along. */
class Gate {
  along = $state.raw<Along>();

  get isOpen() {
    return localStorage.getItem(FLAG) !== null;
  }

  /** Why what was taken along cannot be opened; empty where it can. */
  broken = $state('');

  /** Opens it where something was taken along; without it the page goes on, and says so. */
  async reopen(): Promise<Along | undefined> {
    if (!this.isOpen) return undefined;
    try {
      return await this.open();
    } catch (failure) {
      this.broken = failure instanceof Error ? failure.message : String(failure);
      return undefined;
    }
  }

  /** Opens it for good in this browser. */
  async open(): Promise<Along> {
    if (!this.along) {
      const { openAlong } = await import('./along.svelte');
      this.along ??= await openAlong();
      localStorage.setItem(FLAG, 'yes');
    }
    return this.along;
  }

  /** Reaches for the server; where it does not answer, for what was taken along. */
  reach(request: Request): Promise<Response> {
    return this.along ? this.along.reach(request) : fetch(request);
  }

  /** Goes up whenever something that waited was sent: what a page shows is not of now any more. */
  get sent() {
    return this.along?.sent ?? 0;
  }
}

export const gate = new Gate();
