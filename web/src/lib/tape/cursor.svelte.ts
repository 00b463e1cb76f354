import { perSite } from '../shell/perSite';

/** Where somebody has last pointed on the simulated days of a site: the tape moves it, and what tells that instant otherwise follows. */
export class Cursor {
  /** Since the start of the days (s). */
  at = $state<number>();
}

/** The cursor of a site. */
export const cursorOf = perSite(() => new Cursor());
