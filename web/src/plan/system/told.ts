import type { Load } from '../../lib/api/api';
import { decimal, duration } from '../../lib/sentence/quantity';

/** What a load draws, in words. */
export function consumption(load: Load): string {
  const draw = load.consumption;
  switch (draw.kind) {
    case 'constantPower':
      return `${decimal(draw.watts)} W, constant power`;
    case 'constantCurrent':
      return `${decimal(draw.amperes)} A, constant current`;
    case 'resistance':
      return `${decimal(draw.ohms)} Ω, resistive`;
    case 'cycling':
      return `${decimal(draw.watts)} W, ${duration(draw.runSeconds)} running, ${duration(draw.restSeconds)} resting`;
    case 'scheduled':
      return `${draw.entries.map((one) => `${decimal(one.watts)} W`).join(', ')} by the clock`;
    case 'occupancy':
      return `${decimal(draw.watts)} W, ${decimal(draw.usesPerDay)} times a day for ${duration(draw.meanSeconds)}`;
    case 'importedProfile':
      return 'imported profile';
  }
}
