/** From here on numbers are of revisions that were saved without a network: none that the server gives reaches it. */
const LOCAL = 1_000_000;

export const isLocal = (revision: number) => revision >= LOCAL;

/** The number of a revision that is saved without a network on another one. */
export const nextLocal = (parent: number) => (isLocal(parent) ? parent : LOCAL + parent) + 1;

/** A revision's number as a person reads it: the one it gets where nobody else saves before it is sent. */
export const shownNumber = (revision: number) => (isLocal(revision) ? revision - LOCAL : revision);

const HERE = 'here-';

/** What a run is called that this browser makes and keeps. */
export const runHere = () => HERE + crypto.randomUUID();

/** Whether a run is kept in this browser, and unknown to the server. */
export const isRunHere = (run: string | undefined) => run?.startsWith(HERE) ?? false;
