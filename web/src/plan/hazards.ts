import type { Finding } from '../lib/api/api';

/** What a finding can lead to, in words, the worst first. */
export const HAZARDS: Record<Finding['hazard'], string> = {
  SHOCK: 'shock',
  GAS: 'gas',
  COLD_OR_HOT_CHARGE: 'cold or hot charge',
  OVER_CHARGE: 'over-charge',
  OVER_DISCHARGE: 'over-discharge',
  OVERLOAD: 'overload',
  LOSS_OF_CONTROL: 'loss of control',
  WASTE: 'waste',
  NUISANCE: 'nuisance',
};
