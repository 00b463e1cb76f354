import type { AskCore } from './views';

/** The core in this browser, fetched when it is asked first. */
export const coreHere: AskCore = async (name, question, files, watching) => {
  const { askOnlyHere } = await import('../engine/engine');
  return askOnlyHere(name, question, files, watching);
};
