/** Signs of ours on a ground of 16 by 16: filled ones as areas, the others as lines. What they mean stands beside them in words. */
export const FILLED = {
  /** A level that acts when a value falls to it, rises to it, or is held at it: as it stands on the gauge. */
  falls: 'M1.5 3h13L8 13.5z',
  rises: 'M1.5 13h13L8 2.5z',
  holds: 'M1.5 6h13v4h-13z',
  more: 'M2.2 8a1.5 1.5 0 1 0 3 0a1.5 1.5 0 1 0-3 0M6.5 8a1.5 1.5 0 1 0 3 0a1.5 1.5 0 1 0-3 0M10.8 8a1.5 1.5 0 1 0 3 0a1.5 1.5 0 1 0-3 0',
} as const;

export const LINES = {
  caution: 'M8 2l6.5 12h-13zM8 6.2v3.8M8 11.3v1.4',
  hollow: 'M2.5 12.5h11L8 3.5z',
  opens: 'M3 5.5l5 5 5-5',
  earlier: 'M14 8H2.5M7 3.5L2.5 8 7 12.5',
  later: 'M2 8h11.5M9 3.5L13.5 8 9 12.5',
  up: 'M8 14V2.5M3.5 7L8 2.5 12.5 7',
  down: 'M8 2v11.5M3.5 9L8 13.5 12.5 9',
  closer: 'M8 2.5v11M2.5 8h11',
  wider: 'M2.5 8h11',
  calendar: 'M1.5 3.5h13v11h-13zM1.5 6.5h13M4.5 1.5v3M11.5 1.5v3',
} as const;

export type Sign = keyof typeof FILLED | keyof typeof LINES;
