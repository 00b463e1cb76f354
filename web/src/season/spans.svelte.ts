/** A span of a run, in seconds since its start. */
export interface Span {
  from: number;
  to: number;
}

const SHORTEST = 2;

/** What of a run is shown: the whole of it until something is chosen. */
export class Spans {
  chosen = $state.raw<Span>();

  constructor(private readonly end: () => number) {}

  get whole(): Span {
    return { from: 0, to: this.end() };
  }
  get shown(): Span {
    return this.chosen ?? this.whole;
  }

  /** Shows a span of the run, kept inside it and no shorter than two seconds. */
  show(span: Span | undefined) {
    if (!span) {
      this.chosen = undefined;
      return;
    }
    const whole = this.whole;
    const length = Math.max(SHORTEST, Math.min(whole.to, span.to - span.from));
    const from = Math.max(0, Math.min(whole.to - length, span.from));
    this.chosen = length >= whole.to ? undefined : { from, to: from + length };
  }

  /** Closer (below 1) or wider (above 1) about a point, by default the middle. */
  zoom(factor: number, about?: number) {
    const { from, to } = this.shown;
    const point = about ?? (from + to) / 2;
    this.show({ from: point - (point - from) * factor, to: point + (to - point) * factor });
  }

  /** Earlier or later by a share of what is shown. */
  pan(share: number) {
    const { from, to } = this.shown;
    const by = (to - from) * share;
    this.show({ from: from + by, to: to + by });
  }
}
