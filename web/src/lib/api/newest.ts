/** Asks questions of which only the newest counts: an older one is broken off, and what it still answers is dropped. */
export class Newest {
  private asking?: AbortController;

  /** The answer, or undefined where a newer question took its place. */
  async ask<T>(question: (signal: AbortSignal) => Promise<T>): Promise<T | undefined> {
    this.asking?.abort();
    const { signal } = (this.asking = new AbortController());
    try {
      const answer = await question(signal);
      return signal.aborted ? undefined : answer;
    } catch (failure) {
      if (!signal.aborted) throw failure;
      return undefined;
    }
  }
}
