import type { Load, Output, Plan, Working } from '../../lib/api/api';
import { decimal } from '../../lib/sentence/quantity';
import { consumption } from './told';

/** A part on the sketch. */
export interface Box {
  /** Path in the plan, with ids, as in origins. */
  path: string;
  /** Its name in the published schema. */
  schema: string;
  name: string;
  detail: string;
  tone: 'sun' | 'ac' | 'battery' | 'load' | 'diverted' | 'plain';
  x: number;
  y: number;
  width: number;
  height: number;
}

/** A conductor, from corner to corner. */
export interface Wire {
  points: [number, number][];
  tone: 'dc' | 'ac';
  /** What it drops at the worst, where that was worked out. */
  drop?: string;
  dashed?: boolean;
}

/** A contact of an output where it interrupts. */
export interface Contact {
  output: string;
  name: string;
  closed: boolean;
  x: number;
  y: number;
  /** Along a wire that runs down, else across. */
  down: boolean;
}

/** A place where voltage is read. */
export interface Mark {
  path: string;
  name: string;
  x: number;
  y: number;
}

export interface Sketch {
  boxes: Box[];
  wires: Wire[];
  contacts: Contact[];
  marks: Mark[];
  width: number;
  height: number;
}

const COLUMN = 138;
const BOX = 128;
const HIGH = 40;
const ROW = 50;
const BUS = 216;
const CONTACT = 44;
const LOAD_AT = 150;
const LOAD_WIDE = 240;

/** The one-line sketch of a site: sources above, the bus, the battery below it, what is fed beside it, each behind its contact. */
export function sketchOf(plan: Plan, workings: Working[] = []): Sketch {
  const { site, program } = plan;
  const boxes: Box[] = [];
  const wires: Wire[] = [];
  const contacts: Contact[] = [];
  const marks: Mark[] = [];
  const at = new Map<string, { x: number; y: number }>();
  const switching = (id: string) => program.outputs.find((output) => output.loads.includes(id));

  function contact(output: Output | undefined, x: number, y: number, down = false) {
    if (!output) return;
    const forced = output.testForce !== 'NONE';
    const closed = forced ? output.testForce === 'CLOSED' : output.mode === 'ON';
    contacts.push({ output: output.id, name: output.name, closed, x, y, down });
  }

  function box(one: Omit<Box, 'height'>) {
    boxes.push({ ...one, height: HIGH });
  }

  // Above the bus: each controller under its arrays, then sources that need none.
  let x = 20;
  for (const controller of site.controllers) {
    const columns = Math.max(1, controller.arrays.length);
    const middle = x + (columns * COLUMN) / 2 - (COLUMN - BOX) / 2;
    const output = switching(controller.id);
    controller.arrays.forEach((id, i) => {
      const array = site.arrays.find((one) => one.id === id);
      if (!array) return;
      const left = x + i * COLUMN;
      const path = `site/arrays/${id}`;
      const detail = `${decimal(array.peakWatts, 0)} W`;
      box({ path, schema: 'SolarArray', name: array.name, detail, tone: 'sun', x: left, y: 16, width: BOX });
      wires.push({
        points: [
          [left + BOX / 2, 56],
          [left + BOX / 2, 78],
          [middle, 78],
          [middle, 112],
        ],
        tone: 'dc',
      });
    });
    const left = middle - BOX / 2;
    box({
      path: `site/controllers/${controller.id}`,
      schema: 'ChargeController',
      name: controller.name,
      detail: `${decimal(controller.maximumAmperes)} A`,
      tone: 'plain',
      x: left,
      y: 112,
      width: BOX,
    });
    at.set(controller.id, { x: left + BOX, y: 112 });
    const drop = dropOf(workings, `site/controllers/${controller.id}/cable`);
    wires.push({
      points: [
        [middle, 152],
        [middle, BUS],
      ],
      tone: 'dc',
      drop,
    });
    contact(output, middle, output?.side === 'ARRAY' ? 95 : 184, true);
    x += columns * COLUMN;
  }
  for (const [list, schema, detail] of [
    [site.sources, 'CurrentSource', 'given current'],
    [site.dcSources ?? [], 'DcSource', 'by profile'],
  ] as const) {
    for (const source of list) {
      const path = `site/${schema === 'DcSource' ? 'dcSources' : 'sources'}/${source.id}`;
      box({ path, schema, name: source.name, detail, tone: 'ac', x, y: 112, width: BOX });
      wires.push({
        points: [
          [x + BOX / 2, 152],
          [x + BOX / 2, BUS],
        ],
        tone: 'dc',
      });
      x += COLUMN;
    }
  }
  const trunk = Math.max(352, x + 24);

  // Below it: the battery behind its cable, several side by side.
  const together = site.battery.batteries ?? [];
  const bankY = BUS + 88;
  box({
    path: 'site/battery',
    schema: 'BatteryBank',
    name: site.battery.name,
    detail: `${decimal(site.battery.capacityAmpereHours)} Ah, ${site.battery.cellsInSeries} cells`,
    tone: 'battery',
    x: 40,
    y: bankY,
    width: 240,
  });
  wires.push({
    points: [
      [160, BUS],
      [160, bankY],
    ],
    tone: 'dc',
    drop: dropOf(workings, 'site/mainCable'),
  });
  together.forEach((one, i) => {
    const left = 40 + (i % 3) * 96;
    const top = bankY + 56 + Math.floor(i / 3) * ROW;
    const path = `site/battery/batteries/${one.id}`;
    const detail = one.bms ? 'with BMS' : 'no BMS';
    box({
      path,
      schema: 'ParallelBattery',
      name: one.name,
      detail,
      tone: 'battery',
      x: left,
      y: top,
      width: 88,
    });
  });
  let left = bankY + 64 + Math.ceil(together.length / 3) * ROW;
  for (const monitor of site.monitors ?? []) {
    const path = `site/monitors/${monitor.id}`;
    const detail = `counts ${decimal(monitor.configuredAmpereHours)} Ah`;
    box({
      path,
      schema: 'BatteryMonitor',
      name: monitor.name,
      detail,
      tone: 'plain',
      x: 40,
      y: left,
      width: 240,
    });
    left += ROW;
  }
  for (const tank of site.tanks ?? []) {
    const path = `site/tanks/${tank.id}`;
    box({
      path,
      schema: 'WaterTank',
      name: tank.name,
      detail: 'hot water',
      tone: 'diverted',
      x: 40,
      y: left,
      width: 240,
    });
    left += ROW;
  }

  // Beside it: what the main bus feeds, then each converter and the inverter with what hangs on it.
  let y = BUS + 14;
  function load(one: Load, from: number, tone: 'dc' | 'ac') {
    const middle = y + HIGH / 2;
    box({
      path: `site/loads/${one.id}`,
      schema: 'Load',
      name: `${one.name}${one.critical ? ' (critical)' : ''}`,
      detail: consumption(one),
      tone: one.use === 'DIVERSION' ? 'diverted' : 'load',
      x: trunk + LOAD_AT,
      y,
      width: LOAD_WIDE,
    });
    at.set(one.id, { x: trunk + LOAD_AT + LOAD_WIDE, y });
    const drop = dropOf(workings, `site/loads/${one.id}/cable`);
    wires.push({
      points: [
        [from, middle],
        [trunk + LOAD_AT, middle],
      ],
      tone,
      drop,
    });
    contact(switching(one.id), trunk + LOAD_AT - 34, middle);
    y += ROW;
  }
  let lowest = BUS;
  const fed = (id?: string) => site.loads.filter((one) => one.feed === id);
  for (const one of fed(undefined)) {
    lowest = y + HIGH / 2;
    load(one, trunk, 'dc');
  }
  function feeder(id: string, path: string, schema: string, name: string, detail: string, ac: boolean) {
    const middle = y + HIGH / 2;
    lowest = middle;
    wires.push({
      points: [
        [trunk, middle],
        [trunk + CONTACT + 8, middle],
      ],
      tone: 'dc',
    });
    contact(switching(id), trunk + CONTACT / 2 + 4, middle);
    box({ path, schema, name, detail, tone: ac ? 'ac' : 'plain', x: trunk + CONTACT + 8, y, width: 172 });
    at.set(id, { x: trunk + CONTACT + 8 + 172, y });
    y += ROW;
    const own = trunk + CONTACT + 24;
    const first = y - ROW + HIGH;
    const rows: (() => void)[] = [];
    if (ac) {
      for (const source of site.acSources ?? []) {
        rows.push(() =>
          side(
            `site/acSources/${source.id}`,
            source.kind === 'generator' ? 'Generator' : 'Feeder',
            source.name,
            'comes in here',
            'ac',
            switching(source.id),
            own,
          ),
        );
      }
      for (const array of site.acArrays ?? []) {
        const named = site.arrays.find((other) => other.id === array.array);
        rows.push(() =>
          side(
            `site/arrays/${array.array}`,
            'SolarArray',
            named?.name ?? array.array,
            `AC-coupled, ${decimal(array.maximumWatts, 0)} W`,
            'sun',
            undefined,
            own,
          ),
        );
      }
    }
    for (const one of fed(id)) rows.push(() => load(one, own, ac ? 'ac' : 'dc'));
    rows.forEach((row) => row());
    if (rows.length > 0) {
      wires.push({
        points: [
          [own, first],
          [own, y - ROW + HIGH / 2],
        ],
        tone: ac ? 'ac' : 'dc',
      });
    }
  }
  function side(
    path: string,
    schema: string,
    name: string,
    detail: string,
    tone: 'ac' | 'sun',
    output: Output | undefined,
    from: number,
  ) {
    const middle = y + HIGH / 2;
    box({ path, schema, name, detail, tone, x: trunk + LOAD_AT, y, width: LOAD_WIDE });
    wires.push({
      points: [
        [from, middle],
        [trunk + LOAD_AT, middle],
      ],
      tone: 'ac',
      dashed: true,
    });
    contact(output, trunk + LOAD_AT - 34, middle);
    y += ROW;
  }
  for (const one of site.converters ?? []) {
    feeder(
      one.id,
      `site/converters/${one.id}`,
      'Converter',
      one.name,
      `${decimal(one.outputVolts)} V`,
      false,
    );
  }
  if (site.inverter) {
    const { id, name, continuousWatts } = site.inverter;
    feeder(id, 'site/inverter', 'Inverter', name, `${decimal(continuousWatts, 0)} W`, true);
  }
  wires.push({
    points: [
      [20, BUS],
      [trunk, BUS],
      [trunk, lowest],
    ],
    tone: 'dc',
  });

  const taken = new Map<string, number>();
  for (const point of site.sensePoints) {
    const rank = taken.get(point.place + (point.device ?? '')) ?? 0;
    taken.set(point.place + (point.device ?? ''), rank + 1);
    const device = point.device ? at.get(point.device) : undefined;
    const place =
      point.place === 'BATTERY_TERMINALS'
        ? { x: 196 + rank * 26, y: bankY - 12 }
        : point.place === 'BUS' || !device
          ? { x: trunk - 24 - rank * 26, y: BUS }
          : { x: device.x - 12 - rank * 26, y: device.y };
    marks.push({ path: `site/sensePoints/${point.id}`, name: point.name, ...place });
  }
  return {
    boxes,
    wires,
    contacts,
    marks,
    width: trunk + LOAD_AT + LOAD_WIDE + 16,
    height: Math.max(y, left, bankY + 60) + 12,
  };
}

/** What a cable drops at the worst, as it was worked out. */
function dropOf(workings: Working[], path: string): string | undefined {
  const found = workings.find((one) => one.path.startsWith(path) && one.unit === 'V');
  const drop = found && decimal(found.value, 2);
  // What draws nothing yet drops nothing.
  return drop && Number(drop) !== 0 ? `−${drop} V` : undefined;
}
