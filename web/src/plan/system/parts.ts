import type { ChargeProgram, ParallelBattery, Plan } from '../../lib/api/api';
import { withPlace } from '../../lib/plan/planPath';
import { beginning, guessed, schemaOf } from './schema';

/** A kind of part that can be put on a site. */
export interface Kind {
  /** Its list in the site; the inverter is the only one of its kind, batteries stand side by side in the bank. */
  list:
    | 'arrays'
    | 'controllers'
    | 'loads'
    | 'sensePoints'
    | 'monitors'
    | 'converters'
    | 'tanks'
    | 'dcSources'
    | 'acSources'
    | 'inverter'
    | 'acArrays'
    | 'radios'
    | 'batteries';
  schema: string;
  name: string;
}

export const KINDS: Kind[] = [
  { list: 'loads', schema: 'Load', name: 'Load' },
  { list: 'arrays', schema: 'SolarArray', name: 'Array' },
  { list: 'controllers', schema: 'ChargeController', name: 'Charge controller' },
  { list: 'batteries', schema: 'ParallelBattery', name: 'Battery' },
  { list: 'sensePoints', schema: 'SensePoint', name: 'Sense point' },
  { list: 'monitors', schema: 'BatteryMonitor', name: 'Battery monitor' },
  { list: 'converters', schema: 'Converter', name: 'Converter' },
  { list: 'inverter', schema: 'Inverter', name: 'Inverter' },
  { list: 'dcSources', schema: 'DcSource', name: 'DC source' },
  { list: 'acSources', schema: 'Generator', name: 'Generator' },
  { list: 'acSources', schema: 'Feeder', name: 'Feeder' },
  { list: 'acArrays', schema: 'SolarArray', name: 'AC-side array' },
  { list: 'tanks', schema: 'WaterTank', name: 'Water tank' },
  { list: 'radios', schema: 'Radio', name: 'Radio link' },
];

/** Why a kind cannot be added to a site as it is; empty where it can. */
export function hindrance({ site }: Plan, kind: Kind): string {
  if (kind.list === 'inverter' && site.inverter) return 'only one, which is there: choose it on the sketch';
  if (kind.list === 'acArrays' && !site.inverter) return 'only with an inverter';
  if (kind.list === 'acSources' && !site.inverter?.transfer)
    return 'only with an inverter that has a transfer switch';
  return '';
}

interface Entry {
  id: string;
  name: string;
}

type Lists = Exclude<Kind['list'], 'inverter' | 'acArrays' | 'batteries'>;

function entries(plan: Plan, list: Lists): Entry[] {
  return (plan.site[list] ?? []) as Entry[];
}

/** The cable of another part of the kind, or else one that is usual for a small one: what needs a cable is never without. */
function cableLike(plan: Plan, kind: Kind) {
  if (!schemaOf(kind.schema).required?.includes('cable')) return {};
  const others =
    kind.list === 'batteries'
      ? (plan.site.battery.batteries ?? [])
      : kind.list === 'inverter'
        ? [{ cable: { crossSectionSquareMillimetres: 50, oneWayMetres: 1.5 } }]
        : (entries(plan, kind.list as Lists) as { cable?: unknown }[]);
  const other = others.find((one) => one.cable);
  return { cable: other?.cable ?? { crossSectionSquareMillimetres: 6, oneWayMetres: 2 } };
}

/** An array that nothing has yet; a new one of a name where all have theirs. */
function freeArray(plan: Plan, name: string): { plan: Plan; id: string } {
  const wired = plan.site.controllers.flatMap((one) => one.arrays);
  const coupled = (plan.site.acArrays ?? []).map((one) => one.array);
  const free = plan.site.arrays.find((one) => !wired.includes(one.id) && !coupled.includes(one.id));
  return free ? { plan, id: free.id } : withPart(plan, { list: 'arrays', schema: 'SolarArray', name });
}

/** An id and a name that no part has yet. */
function unused(plan: Plan, kind: Kind, count: number): Entry {
  const { site } = plan;
  const named = (value: unknown) => (Array.isArray(value) ? value : [value]) as Partial<Entry>[];
  const taken = new Set(
    [...Object.values(site), site.battery.batteries ?? []].flatMap((value) =>
      named(value).map((one) => one?.id),
    ),
  );
  const base = kind.name.toLowerCase().replaceAll(' ', '-');
  let number = count + 1;
  while (taken.has(`${base}-${number}`)) number++;
  return { id: `${base}-${number}`, name: `${kind.name} ${number}` };
}

/** Where a part of a kind stands in the plan. */
export function pathOf(kind: Kind, id: string): string {
  if (kind.list === 'inverter') return 'site/inverter';
  if (kind.list === 'acArrays') return `site/arrays/${id}`;
  return kind.list === 'batteries' ? `site/battery/batteries/${id}` : `site/${kind.list}/${id}`;
}

/** The kind of what stands at a path and can be taken away; undefined for what a site always has. */
export function kindAt(path: string): Kind | undefined {
  if (path === 'site/inverter') return KINDS.find((kind) => kind.list === 'inverter');
  if (path.startsWith('site/battery/batteries/')) return KINDS.find((kind) => kind.list === 'batteries');
  return path.split('/').length === 3
    ? KINDS.find((kind) => path.startsWith(`site/${kind.list}/`))
    : undefined;
}

/**
 * A plan with one more part of a kind, with usual numbers or else the least that can be, each a guess until somebody confirms it, and
 * the part's id. A charge controller comes with an array of its own: none is taken from another.
 */
export function withPart(before: Plan, kind: Kind): { plan: Plan; id: string; name: string } {
  if (kind.list === 'acArrays') return withAcArray(before, kind);
  if (kind.list === 'batteries') return withBattery(before, kind);
  const { plan, id: array } =
    kind.list === 'controllers' ? freeArray(before, 'Array') : { plan: before, id: '' };
  const own = kind.list === 'inverter' ? [] : entries(plan, kind.list);
  const { id, name } = unused(plan, kind, own.length);
  // A password that nobody has told of is the one it came with.
  const gives = {
    ...(kind.list === 'dcSources' ? { byClock: beginning(schemaOf('Steady'), plan) } : {}),
    ...(kind.list === 'radios' ? { factoryPassword: true } : {}),
  };
  const wiring = { ...gives, ...cableLike(plan, kind), ...(array === '' ? {} : { arrays: [array] }) };
  const part = { ...(beginning(schemaOf(kind.schema), plan) as object), ...wiring, id, name };
  const site = { ...plan.site, [kind.list]: kind.list === 'inverter' ? part : [...own, part] };
  return { plan: guessed(inOrder({ ...plan, site } as Plan), part, pathOf(kind, id)), id, name };
}

function withAcArray(plan: Plan, kind: Kind): { plan: Plan; id: string; name: string } {
  const array = freeArray(plan, kind.name);
  const { site } = array.plan;
  const coupled = {
    ...(beginning(schemaOf('AcCoupledArray'), plan) as object),
    array: array.id,
    inverter: site.inverter?.id ?? '',
  };
  const acArrays = [...(site.acArrays ?? []), coupled] as Plan['site']['acArrays'];
  const name = site.arrays.find((one) => one.id === array.id)?.name ?? array.id;
  const next = { ...array.plan, site: { ...site, acArrays } } as Plan;
  const path = `site/acArrays/${array.id}`;
  return { plan: guessed(next, coupled, path), id: array.id, name };
}

/** The first battery beside it makes two of the bank; all share alike and are guarded alike, to be told better where they differ. */
function withBattery(plan: Plan, kind: Kind): { plan: Plan; id: string; name: string } {
  const begin = (at: Plan): { plan: Plan; id: string; name: string } => {
    const own = at.site.battery.batteries ?? [];
    const { id, name } = unused(at, kind, own.length);
    const part = {
      ...(beginning(schemaOf('ParallelBattery'), at) as ParallelBattery),
      ...cableLike(at, kind),
      ...(own[0]?.bms ? { bms: own[0].bms } : {}),
      id,
      name,
    };
    return { plan: guessed(sharing(at, [...own, part]), part, pathOf(kind, id)), id, name };
  };
  const first = (plan.site.battery.batteries ?? []).length === 0 ? begin(plan).plan : plan;
  return begin(first);
}

/** Batteries side by side share the bank's capacity alike. */
function sharing(plan: Plan, batteries: ParallelBattery[]): Plan {
  const share = Math.round(1e6 / batteries.length) / 1e6;
  const last = Math.round((1 - share * (batteries.length - 1)) * 1e6) / 1e6;
  const alike = batteries.map((one, i) => ({
    ...one,
    capacityShare: i === batteries.length - 1 ? last : share,
  }));
  return withPlace(plan, ['site', 'battery', 'batteries'], alike);
}

/** The setpoints a charger begins with: those of another, else what the battery bears. */
function chargingOf(plan: Plan, controller: string): ChargeProgram {
  const like = plan.program.charging[0];
  const { highestVolts, lowestVolts } = plan.site.battery;
  return {
    controller,
    absorptionVolts: like?.absorptionVolts ?? highestVolts,
    absorptionSeconds: like?.absorptionSeconds ?? 3600,
    floatVolts: like?.floatVolts ?? highestVolts,
    rechargeVolts: like?.rechargeVolts ?? (highestVolts + lowestVolts) / 2,
    rechargeDelaySeconds: like?.rechargeDelaySeconds ?? 60,
  };
}

/** A plan in which each charger has setpoints and nothing else has, after parts came or went. */
export function inOrder(plan: Plan): Plan {
  const { site, program } = plan;
  const chargers = [
    ...site.controllers.map((one) => one.id),
    ...(site.inverter?.charger ? [site.inverter.id] : []),
  ];
  const kept = program.charging.filter((one) => chargers.includes(one.controller));
  const missing = chargers.filter((id) => !kept.some((one) => one.controller === id));
  if (missing.length === 0 && kept.length === program.charging.length) return plan;
  const charging = [...kept, ...missing.map((id) => chargingOf(plan, id))];
  return { ...plan, program: { ...program, charging } };
}

/** What is there only because of an inverter. */
const BEHIND_INVERTER = ['site/acSources', 'site/acArrays', 'program/ac'];

/** A plan without a part: outputs and controllers that named it do so no more, and its origins go too. */
export function withoutPart(plan: Plan, path: string): Plan {
  const kind = kindAt(path);
  const id = kind?.list === 'inverter' ? (plan.site.inverter?.id ?? '') : (path.split('/').at(-1) ?? '');
  // What is said of the origin of its numbers, and of the settings that go with it, goes along.
  const beside = [`program/charging/${id}`, `site/acArrays/${id}`];
  const gone = [path, ...beside, ...(path === 'site/inverter' ? BEHIND_INVERTER : [])];
  const origins = Object.fromEntries(
    Object.entries(plan.origins).filter(([key]) => !gone.some((one) => key.startsWith(`${one}/`))),
  );
  const rest = { ...plan, origins };
  if (kind?.list === 'batteries') {
    const left = (plan.site.battery.batteries ?? []).filter((one) => one.id !== id);
    // The last one left is the bank itself.
    return left.length > 1 ? sharing(rest, left) : withPlace(rest, ['site', 'battery', 'batteries'], []);
  }
  const without = (ids: string[]) => ids.filter((one) => one !== id);
  const site = withoutIn(rest, path, id);
  site.controllers = site.controllers.map((one) => ({ ...one, arrays: without(one.arrays) }));
  const acArrays = (site.acArrays ?? []).filter((one) => one.array !== id);
  const program = {
    ...plan.program,
    outputs: plan.program.outputs.map((one) => ({ ...one, loads: without(one.loads) })),
  };
  if (!site.inverter) delete program.ac;
  const remaining = { ...rest, site: { ...site, ...(site.acArrays ? { acArrays } : {}) }, program };
  return inOrder(remaining);
}

/** The site without the part itself; what comes in at an inverter goes with it. */
function withoutIn({ site }: Plan, path: string, id: string): Plan['site'] {
  if (path === 'site/inverter') {
    const others = { ...site, acSources: [], acArrays: [] };
    delete others.inverter;
    return others;
  }
  const list = path.split('/')[1] as Lists;
  const own = (site[list] ?? []) as Entry[];
  return { ...site, [list]: own.filter((one) => one.id !== id) };
}
