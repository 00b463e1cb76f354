/** What the core in this browser is asked: a question as the text that a server would get, for what is watched for changes cannot be handed over. */
export interface Asked {
  name: string;
  question: string;
  /** What was measured for the site, as text, where the question needs it. */
  files?: string;
}

/** What it says: an answer; why it cannot be taken; what would have to be at hand; or that it failed. */
export interface Answered {
  answer?: unknown;
  pointer?: string;
  detail?: string;
  missing?: string;
  failed?: string;
  /** Nothing yet, but how far it is (fraction). */
  progress?: number;
}

/** What somebody wants who waits for long work. */
export interface Watching {
  /** Is told how far it is (fraction). */
  progress?: (share: number) => void;
  /** Ends it, in the middle too: the thread goes, with what it has kept, and is made anew. */
  stop?: AbortSignal;
}

/** As much of a worker as is used here. */
export interface Thread {
  postMessage(message: unknown): void;
  addEventListener(kind: 'message' | 'error', listener: (event: { data?: unknown }) => void): void;
  terminate(): void;
}

interface Waiting {
  asked: Asked;
  signal: AbortSignal | undefined;
  watching: Watching;
  done: (answered: Answered) => void;
}

/** So often it is begun: what does not come, or breaks, does not come for asking. */
const MOST_BEGINNINGS = 3;
/** So long it is waited for where nothing else answers (ms), and so often it is looked. */
const LONGEST_LOADING = 180_000;
const LOOKS_EVERY = 50;
const UNWANTED = 'nobody waits for it';

/** The core in this browser: one question at a time, those nobody waits for any more passed over. */
export class LocalCore {
  private thread?: Thread;
  private ready = false;
  private begun = 0;
  private readonly waiting: Waiting[] = [];
  private current?: Waiting;

  constructor(private readonly make: () => Thread) {}

  /** Begins to load it, where that was not begun. */
  load() {
    if (this.thread || this.begun === MOST_BEGINNINGS) return;
    this.begun++;
    const thread = (this.thread = this.make());
    thread.addEventListener('message', ({ data }) => {
      if (thread !== this.thread) return;
      const share = (data as Answered).progress;
      if (share !== undefined) this.current?.watching.progress?.(share);
      else if (data === 'ready') this.ready = true;
      else if (data === 'absent') this.leave();
      else this.answered(data as Answered);
    });
    // What breaks the thread itself breaks its questions, which are then asked elsewhere.
    thread.addEventListener('error', () => this.leave());
  }

  /** Loads it and waits for it; whether it answers then. */
  async begin(): Promise<boolean> {
    this.load();
    for (const end = Date.now() + LONGEST_LOADING; this.thread && !this.ready && Date.now() < end;)
      await new Promise((resolve) => setTimeout(resolve, LOOKS_EVERY));
    return this.ready;
  }

  /** Whether it answers. */
  isReady(): boolean {
    return this.ready;
  }

  /** Asks, in its turn. */
  ask(asked: Asked, signal?: AbortSignal, watching: Watching = {}): Promise<Answered> {
    return new Promise((done) => {
      const one = { asked, signal, watching, done };
      watching.stop?.addEventListener('abort', () => this.stop(one));
      this.waiting.push(one);
      this.next();
    });
  }

  /** What is at work cannot be talked to: it ends with its thread. */
  private stop(one: Waiting) {
    if (this.current !== one) return;
    this.current = undefined;
    this.ready = false;
    this.thread?.terminate();
    this.thread = undefined;
    this.begun--;
    one.done({ failed: UNWANTED });
    this.load();
    this.next();
  }

  private next() {
    while (!this.current) {
      const one = this.waiting.shift();
      if (!one) return;
      if (one.signal?.aborted || one.watching.stop?.aborted) one.done({ failed: UNWANTED });
      else {
        this.current = one;
        this.thread?.postMessage(one.asked);
      }
    }
  }

  private answered(answered: Answered) {
    const { current } = this;
    this.current = undefined;
    current?.done(answered);
    this.next();
  }

  private leave() {
    this.ready = false;
    this.thread?.terminate();
    this.thread = undefined;
    const left = [this.current, ...this.waiting.splice(0)];
    this.current = undefined;
    left.forEach((one) => one?.done({ failed: 'the core of this browser was left' }));
  }
}
