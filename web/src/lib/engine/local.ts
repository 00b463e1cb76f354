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
  done: (answered: Answered) => void;
}

/** So often it is begun: what does not come, or breaks, does not come for asking. */
const MOST_BEGINNINGS = 3;
/** So long it is waited for where nothing else answers (ms), and so often it is looked. */
const LONGEST_LOADING = 180_000;
const LOOKS_EVERY = 50;

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
      if (data === 'ready') this.ready = true;
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
  ask(asked: Asked, signal?: AbortSignal): Promise<Answered> {
    return new Promise((done) => {
      this.waiting.push({ asked, signal, done });
      this.next();
    });
  }

  private next() {
    while (!this.current) {
      const one = this.waiting.shift();
      if (!one) return;
      if (one.signal?.aborted) one.done({ failed: 'nobody waits for it' });
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
