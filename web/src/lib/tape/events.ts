import type { Event } from '../api/api';

const WORDS: Record<Event['kind'], string> = {
  OPENED: 'opens',
  CLOCK: 'clock lost',
  LOCKOUT: 'lockout',
  CLOSED: 'closes',
  CHATTER: 'chatters',
  STAGE: 'stage',
  EMPTY: 'battery empty',
  COLLAPSE: 'voltage collapse',
  RECOVERED: 'recovered',
  PATH: 'BMS',
  HAZARD: 'hazard',
  FUSE: 'fuse',
  CONVERTER: 'converter',
  BRAKE: '',
  AC: 'AC side',
  GENERATOR: '',
  FEEDER: '',
  TANK: 'thermostat',
  SYNCHRONISED: 'counts anew',
};

/** What happened, after the name of what it happened to. */
export const happened = (kind: Event['kind']) => WORDS[kind];

/** Whether it is told first. */
export const isGrave = (kind: Event['kind']) =>
  ['CHATTER', 'EMPTY', 'COLLAPSE', 'HAZARD', 'FUSE'].includes(kind);
