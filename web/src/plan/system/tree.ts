import type { Conductor, Load, Output, Plan } from '../../lib/api/api';
import { decimal } from '../../lib/sentence/quantity';
import { consumption } from './told';

/** What a part is drawn as, after IEC 60617. */
export type Symbol =
  | 'array'
  | 'converter'
  | 'inverter'
  | 'battery'
  | 'join'
  | 'load'
  | 'resistor'
  | 'motor'
  | 'lamp'
  | 'generator'
  | 'feeder'
  | 'source'
  | 'monitor'
  | 'tank'
  | 'radio'
  | 'place';

/** A part of a site with what hangs on it. */
export interface Part {
  /** Path in the plan, with ids, as in origins. */
  path: string;
  id: string;
  /** Its name in the published schema. */
  schema: string;
  name: string;
  detail: string;
  symbol: Symbol;
  tone: 'sun' | 'ac' | 'battery' | 'load' | 'diverted' | 'plain';
  /** The output whose contact lies in its wire. */
  contact?: Output;
  /** What its wire carries at the worst (A), and drops then (V). */
  wire?: Conductor;
  /** Whether it comes in with AC. */
  ac: boolean;
  /** Wired to nothing yet. */
  loose: boolean;
  parts: Part[];
}

/** A site as its one-line diagram tells it: what feeds the bus, the battery, what the bus feeds, and what only stands beside. */
export interface Tree {
  supply: Part[];
  bank: Part;
  main: Part;
  users: Part[];
  beside: Part[];
}

/** A place as a chart has it: 63.4° N, 10.4° E. */
const placed = ({ latitudeDegrees: north, longitudeDegrees: east }: Plan['site']['location']) =>
  `${decimal(Math.abs(north), 1)}° ${north < 0 ? 'S' : 'N'}, ${decimal(Math.abs(east), 1)}° ${east < 0 ? 'W' : 'E'}`;

/** The tree of a plan's site. */
export function treeOf(plan: Plan, conductors: Conductor[] = []): Tree {
  const { site, program } = plan;
  const carried = new Map(conductors.map((one) => [one.path, one]));
  const switching = (id: string) => program.outputs.find((output) => output.loads.includes(id));

  function part(
    path: string,
    schema: string,
    name: string,
    more: Partial<Part> & Pick<Part, 'symbol'>,
  ): Part {
    const id = path.split('/').at(-1) ?? '';
    const wire = carried.get(path);
    return {
      path,
      id,
      schema,
      name,
      wire,
      detail: '',
      tone: 'plain',
      ac: false,
      loose: false,
      parts: [],
      ...more,
    };
  }

  function array(id: string, more: Partial<Part> = {}): Part[] {
    const found = site.arrays.find((one) => one.id === id);
    if (!found) return [];
    const detail = `${decimal(found.peakWatts, 0)} W`;
    const drawn = { symbol: 'array', tone: 'sun', detail, ...more } as const;
    return [part(`site/arrays/${id}`, 'SolarArray', found.name, drawn)];
  }

  const supply = site.controllers.map((one) => {
    const output = switching(one.id);
    const between = output?.side === 'ARRAY' ? output : undefined;
    return part(`site/controllers/${one.id}`, 'ChargeController', one.name, {
      symbol: 'converter',
      detail: `${decimal(one.maximumAmperes)} A`,
      contact: between ? undefined : output,
      parts: one.arrays.flatMap((id) => array(id, { contact: between })),
    });
  });
  const coupled = site.acArrays ?? [];
  const wired = [...site.controllers.flatMap((one) => one.arrays), ...coupled.map((one) => one.array)];
  for (const one of site.arrays) {
    if (!wired.includes(one.id)) supply.push(...array(one.id, { loose: true }));
  }
  for (const one of site.sources) {
    const drawn = { symbol: 'source', detail: 'given current' } as const;
    supply.push(part(`site/sources/${one.id}`, 'CurrentSource', one.name, drawn));
  }
  for (const one of site.dcSources ?? []) {
    const detail = one.byClock ? `${decimal(one.byClock.watts)} W by the clock` : 'by profile';
    const drawn = { symbol: 'source', detail, contact: switching(one.id) } as const;
    supply.push(part(`site/dcSources/${one.id}`, 'DcSource', one.name, drawn));
  }

  const whole = carried.get('site/mainCable');
  const together = site.battery.batteries ?? [];
  const bank = part('site/battery', 'BatteryBank', site.battery.name, {
    symbol: together.length > 0 ? 'join' : 'battery',
    tone: 'battery',
    detail: `${decimal(site.battery.capacityAmpereHours)} Ah, ${site.battery.cellsInSeries} cells`,
    parts: together.map((one) =>
      part(`site/battery/batteries/${one.id}`, 'ParallelBattery', one.name, {
        symbol: 'battery',
        tone: 'battery',
        detail: one.bms ? 'with BMS' : 'no BMS',
        wire: whole && { ...whole, amperes: whole.amperes * one.capacityShare, dropVolts: undefined },
      }),
    ),
  });
  const { crossSectionSquareMillimetres: area, oneWayMetres: metres } = site.mainCable;
  const main = part('site/mainCable', 'Cable', 'Main cable', {
    symbol: 'join',
    detail: area === undefined ? 'measured' : `${decimal(area)} mm², ${decimal(metres ?? 0)} m`,
  });

  /** What goes by dusk is a light. */
  const isLight = (id: string) =>
    ['duskToDawn', 'hoursAfterDusk'].includes(switching(id)?.automatic?.kind ?? '');

  function load(one: Load, ac: boolean): Part {
    const isDiverted = one.use === 'DIVERSION';
    return part(`site/loads/${one.id}`, 'Load', `${one.name}${one.critical ? ' (critical)' : ''}`, {
      symbol:
        isDiverted || one.consumption.kind === 'resistance'
          ? 'resistor'
          : one.surge
            ? 'motor'
            : isLight(one.id)
              ? 'lamp'
              : 'load',
      tone: isDiverted ? 'diverted' : 'load',
      detail: consumption(one),
      contact: switching(one.id),
      ac,
    });
  }
  const fed = (id: string | undefined, ac: boolean) =>
    site.loads.filter((one) => one.feed === id).map((one) => load(one, ac));

  const users = fed(undefined, false);
  for (const one of site.converters ?? []) {
    users.push(
      part(`site/converters/${one.id}`, 'Converter', one.name, {
        symbol: 'converter',
        detail: `${decimal(one.outputVolts)} V`,
        contact: switching(one.id),
        parts: fed(one.id, false),
      }),
    );
  }
  if (site.inverter) {
    const { id, name, continuousWatts } = site.inverter;
    const sources = (site.acSources ?? []).map((one) =>
      part(`site/acSources/${one.id}`, one.kind === 'generator' ? 'Generator' : 'Feeder', one.name, {
        symbol: one.kind,
        tone: 'ac',
        detail:
          one.kind === 'generator' ? `${decimal(one.ratedWatts, 0)} W` : `${decimal(one.breakerAmperes)} A`,
        contact: switching(one.id),
        ac: true,
        parts: fed(one.id, true),
      }),
    );
    const arrays = coupled.flatMap((one) =>
      array(one.array, { ac: true, detail: `AC-coupled, ${decimal(one.maximumWatts, 0)} W` }),
    );
    const inverter = part('site/inverter', 'Inverter', name, {
      symbol: 'inverter',
      tone: 'ac',
      detail: `${decimal(continuousWatts, 0)} W`,
      contact: switching(id),
      parts: [...sources, ...arrays, ...fed(id, true)],
    });
    users.push({ ...inverter, id });
  }

  const beside = [
    part('site/location', 'Location', 'Where it is', { symbol: 'place', detail: placed(site.location) }),
    ...(site.monitors ?? []).map((one) =>
      part(`site/monitors/${one.id}`, 'BatteryMonitor', one.name, {
        symbol: 'monitor',
        detail: `counts ${decimal(one.configuredAmpereHours)} Ah`,
      }),
    ),
    ...(site.tanks ?? []).map((one) =>
      part(`site/tanks/${one.id}`, 'WaterTank', one.name, {
        symbol: 'tank',
        tone: 'diverted',
        detail: `${decimal(one.litres)} l of hot water`,
      }),
    ),
    ...(site.radios ?? []).map((one) =>
      part(`site/radios/${one.id}`, 'Radio', one.name, {
        symbol: 'radio',
        detail: one.factoryPassword ? 'password as it came' : 'with a password of its own',
      }),
    ),
  ];
  return { supply, bank, main, users, beside };
}

/** What lies dead while a contact is open: what it feeds, and what hangs on that, but not what feeds in there itself. */
export function withoutPower(tree: Tree, output: string): Part[] {
  const feeds = (one: Part) =>
    one.schema === 'Load' || one.schema === 'Converter' || one.schema === 'Inverter';
  const below = (one: Part): Part[] => [one, ...one.parts.filter(feeds).flatMap(below)];
  const cut = (one: Part): Part[] => (one.contact?.id === output ? below(one) : one.parts.flatMap(cut));
  return [...tree.supply, ...tree.users].flatMap(cut);
}
