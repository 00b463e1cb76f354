/** Who makes a change, and when. */
export interface Made {
  by: string;
  at: string;
}

/** A view that a change shows in, and how. */
interface Shows {
  path: string;
  apply: (view: never, made: Made) => unknown;
}

/** What a request that waits to be sent will have done. */
export interface AsIf {
  /** In words. */
  says: string;
  /** What its answer would be: the first view as it is then, another one, or none. */
  answers: 'view' | 'nothing' | ((made: Made) => unknown);
  shows: Shows[];
  /** Earlier ones of these kinds are not sent: this one stands for them. */
  replaces?: RegExp;
  /** A photo that comes with it: its address and what is in it. */
  photo?: { address: string; base64: string };
  /** A view that is there from now on, on the newest revision. */
  begins?: (made: Made, revision: number) => { path: string; view: unknown };
  /** Why it cannot be done as its first view stands; undefined where it can. */
  refuses?: (view: never) => string | undefined;
  /** What the server would not take, seen in what its first view would be; undefined where it would. */
  spoils?: (view: never) => string | undefined;
}

/** The body of a request. */
export type Body = Record<string, unknown>;

/** A kind of change: its method, the end of its address behind the site, and what it will have done. */
export type Kind = [string, RegExp, (site: string, found: string[], body: Body) => AsIf];

/** A view that a change shows in, typed as it is. */
export const shows = <V>(path: string, apply: (view: V, made: Made) => unknown): Shows => ({ path, apply });
