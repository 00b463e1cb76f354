import type { Plan } from '../../lib/api/api';
import { beginning, schemaOf } from './schema';

/** A kind of part that can be put on a site. */
export interface Kind {
  /** Its list in the site. */
  list:
    | 'arrays'
    | 'controllers'
    | 'loads'
    | 'sensePoints'
    | 'monitors'
    | 'converters'
    | 'tanks'
    | 'dcSources'
    | 'acSources';
  schema: string;
  name: string;
}

export const KINDS: Kind[] = [
  { list: 'loads', schema: 'Load', name: 'Load' },
  { list: 'arrays', schema: 'SolarArray', name: 'Array' },
  { list: 'controllers', schema: 'ChargeController', name: 'Charge controller' },
  { list: 'sensePoints', schema: 'SensePoint', name: 'Sense point' },
  { list: 'monitors', schema: 'BatteryMonitor', name: 'Battery monitor' },
  { list: 'converters', schema: 'Converter', name: 'Converter' },
  { list: 'tanks', schema: 'WaterTank', name: 'Water tank' },
  { list: 'acSources', schema: 'Generator', name: 'Generator' },
];

interface Entry {
  id: string;
  name: string;
}

function entries(plan: Plan, list: Kind['list']): Entry[] {
  return (plan.site[list] ?? []) as Entry[];
}

/** The cable of another part of the kind, or else one that is usual for a small one: what needs a cable is never without. */
function cableLike(plan: Plan, kind: Kind) {
  if (!schemaOf(kind.schema).required?.includes('cable')) return {};
  const other = (entries(plan, kind.list) as { cable?: unknown }[]).find((one) => one.cable);
  return { cable: other?.cable ?? { crossSectionSquareMillimetres: 6, oneWayMetres: 2 } };
}

/** An array that no controller has yet; a new one where all have theirs. */
function freeArray(plan: Plan): { plan: Plan; id: string } {
  const wired = plan.site.controllers.flatMap((one) => one.arrays);
  const free = plan.site.arrays.find((one) => !wired.includes(one.id));
  return free
    ? { plan, id: free.id }
    : withPart(plan, { list: 'arrays', schema: 'SolarArray', name: 'Array' });
}

/**
 * A plan with one more part of a kind, with the least numbers that can be, and the part's id. A charge controller comes with an array of
 * its own: none is taken from another.
 */
export function withPart(before: Plan, kind: Kind): { plan: Plan; id: string; name: string } {
  const { plan, id: array } = kind.list === 'controllers' ? freeArray(before) : { plan: before, id: '' };
  const own = entries(plan, kind.list);
  const base = kind.name.toLowerCase().replaceAll(' ', '-');
  let number = own.length + 1;
  const taken = new Set(
    Object.keys(plan.site).flatMap((key) => {
      const list = plan.site[key as keyof Plan['site']];
      return Array.isArray(list) ? list.map((one) => (one as Partial<Entry>).id) : [];
    }),
  );
  while (taken.has(`${base}-${number}`)) number++;
  const id = `${base}-${number}`;
  const name = `${kind.name} ${number}`;
  const wiring = { ...cableLike(plan, kind), ...(array === '' ? {} : { arrays: [array] }) };
  const part = { ...(beginning(schemaOf(kind.schema), plan) as object), ...wiring, id, name };
  const site = { ...plan.site, [kind.list]: [...own, part] };
  if (kind.list !== 'controllers') return { plan: { ...plan, site }, id, name };
  const like = plan.program.charging[0];
  const { highestVolts, lowestVolts } = plan.site.battery;
  const charging = {
    controller: id,
    absorptionVolts: like?.absorptionVolts ?? highestVolts,
    absorptionSeconds: like?.absorptionSeconds ?? 3600,
    floatVolts: like?.floatVolts ?? highestVolts,
    rechargeVolts: like?.rechargeVolts ?? (highestVolts + lowestVolts) / 2,
    rechargeDelaySeconds: like?.rechargeDelaySeconds ?? 60,
  };
  const program = { ...plan.program, charging: [...plan.program.charging, charging] };
  return { plan: { ...plan, site, program }, id, name };
}

/** A plan without a part: outputs and controllers that named it do so no more, and its origins go too. */
export function withoutPart(plan: Plan, path: string): Plan {
  const [, list = '', id = ''] = path.split('/');
  const site = {
    ...plan.site,
    [list]: entries(plan, list as Kind['list']).filter((one) => one.id !== id),
  } as Plan['site'];
  const without = (ids: string[]) => ids.filter((one) => one !== id);
  site.controllers = site.controllers.map((one) => ({ ...one, arrays: without(one.arrays) }));
  const program = {
    ...plan.program,
    outputs: plan.program.outputs.map((one) => ({ ...one, loads: without(one.loads) })),
    charging: plan.program.charging.filter((one) => one.controller !== id),
  };
  const origins = Object.fromEntries(
    Object.entries(plan.origins).filter(([key]) => !key.startsWith(`${path}/`)),
  );
  return { ...plan, site, program, origins };
}
