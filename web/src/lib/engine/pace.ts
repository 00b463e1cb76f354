/** What is answered here within this (ms) is answered here, however quick the server is. */
const SOON_ENOUGH = 50;
/** So much longer (×) than an answer here takes the server is waited for; then it is asked here too. */
const PATIENCE = 3;

/** Who answers a kind of question sooner: the core in this browser, or the server with the way to it. */
export class Pace {
  private here?: number;
  private there?: number;

  tookHere(milliseconds: number) {
    this.here = milliseconds;
  }

  tookThere(milliseconds: number) {
    this.there = milliseconds;
  }

  /** Whether it was answered here at all, so that it is known how long that takes. */
  get isKnown() {
    return this.here !== undefined;
  }

  /** Whether to ask here. */
  get isHere() {
    return (
      this.here !== undefined &&
      (this.here <= SOON_ENOUGH || this.there === undefined || this.here <= this.there)
    );
  }

  /** How long the server is waited for before it is asked here too (ms). */
  get patience() {
    return PATIENCE * Math.max(SOON_ENOUGH, this.here ?? Infinity);
  }
}
