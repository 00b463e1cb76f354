import { span } from './readout';

/** What was recorded, in the buckets of the run that it stands beside; null where nothing was. */
export interface Recorded {
  /** What it is called in the picture. */
  says: string;
  lowVolts: (number | null)[];
  highVolts: (number | null)[];
  /** A fraction. */
  charge?: (number | null)[] | undefined;
}

/** The voltage that was recorded in a bucket, in words with its unit; nothing where none was. */
export const recordedAt = (
  { lowVolts, highVolts }: Pick<Recorded, 'lowVolts' | 'highVolts'>,
  bucket: number,
) => span(lowVolts[bucket], highVolts[bucket], 2, 'V');
