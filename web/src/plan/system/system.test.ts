import { usesOf, withOther } from './uses';
import { describe, expect, it } from 'vitest';
import hallgrund from '../../../../demo/hallgrund.json';
import kvarno from '../../../../demo/kvarno.json';
import skarvholm from '../../../../demo/skarvholm.json';
import type { Plan } from '../../lib/api/api';
import { atPlace, placeOf, withPlace } from '../../lib/plan/planPath';
import { hindrance, inOrder, kindAt, KINDS, pathOf, type Kind, withoutPart, withPart } from './parts';
import { beginning, chosen, inWords, kindOf, schemaOf, numbersIn, picksOf, shownAs, usualAt } from './schema';
import { sketchOf, weight, type Placed } from './sketch';
import { layoutOf, layouts } from './themes';
import { treeOf, withoutPower } from './tree';

const [small, barn, house] = [hallgrund, kvarno, skarvholm].map((one) => one.plan) as unknown as [
  Plan,
  Plan,
  Plan,
];

function kind(list: Kind['list']): Kind {
  const found = KINDS.find((one) => one.list === list);
  if (!found) throw new Error(`no kind ${list}`);
  return found;
}

/** Three arrays, twelve loads and ten outputs: as much as a sketch must bear. */
function crowded(): Plan {
  let plan = house;
  while (plan.site.loads.length < 12) plan = withPart(plan, kind('loads')).plan;
  while (plan.site.arrays.length < 3) plan = withPart(plan, kind('arrays')).plan;
  return plan;
}

function overlap({ box: a }: Placed, { box: b }: Placed) {
  return a.x < b.x + b.width && b.x < a.x + a.width && a.y < b.y + b.height && b.y < a.y + a.height;
}

describe('the sketch', () => {
  const plans = [small, barn, house, crowded()];
  it.each(plans.flatMap((plan) => [true, false].map((narrow) => ({ plan, narrow }))))(
    'has every part once, where nothing lies on another: $plan.site.name, narrow: $narrow',
    ({ plan, narrow }) => {
      const { placed, marks, contacts, width, height } = sketchOf(treeOf(plan), plan, narrow);
      const paths = placed.map((one) => one.part.path);
      expect(new Set(paths).size).toBe(paths.length);
      for (const list of [
        'arrays',
        'loads',
        'controllers',
        'sensePoints',
        'monitors',
        'converters',
      ] as const) {
        for (const part of plan.site[list] ?? []) {
          const path = `site/${list}/${part.id}`;
          expect([...paths, ...marks.map((mark) => mark.path)]).toContain(path);
        }
      }
      for (const [i, one] of placed.entries()) {
        expect(placeOf(plan, one.part.path), one.part.path).toBeDefined();
        expect(one.box.x + one.box.width).toBeLessThanOrEqual(width);
        expect(one.box.y + one.box.height).toBeLessThanOrEqual(height);
        for (const other of placed.slice(i + 1))
          expect(overlap(one, other), `${one.part.path} on ${other.part.path}`).toBe(false);
      }
      const switching = plan.program.outputs.filter((output) => output.loads.length > 0);
      const drawn = new Set(contacts.map((contact) => contact.output));
      expect(switching.filter((output) => !drawn.has(output.id)).map((output) => output.id)).toEqual([]);
    },
  );

  it('draws twice the weight beyond the thinnest for four times the current', () => {
    expect(weight(64) - weight(0)).toBeCloseTo(2 * (weight(16) - weight(0)));
    expect(weight(4000)).toBe(7);
  });

  it('shades what a contact cuts off, and not what feeds in behind it', () => {
    const inverter = house.site.inverter?.id ?? '';
    const output = house.program.outputs.find((one) => one.loads.includes(inverter));
    const cut = withoutPower(treeOf(house), output?.id ?? 'none').map((one) => one.path);
    const behind = house.site.loads.filter((one) => one.feed === inverter);
    expect(behind.length).toBeGreaterThan(0);
    expect(cut.sort()).toEqual(['site/inverter', ...behind.map((one) => `site/loads/${one.id}`)].sort());
    expect(withoutPower(treeOf(house), 'no such output')).toEqual([]);
  });
});

describe('a form', () => {
  it.each(Object.keys(layouts))('of %s lays out fields that there are, and forgets none', (kind) => {
    const fields = Object.keys(schemaOf(kind).properties ?? {});
    const { first, themes } = layoutOf(kind, fields);
    const shown = [...first, ...Object.values(themes).flat()];
    expect(shown.filter((one) => !fields.includes(one))).toEqual([]);
    const left = fields.filter((one) => !shown.includes(one));
    const hidden = ['id', 'kind', 'batteries', 'controller', 'array', 'inverter'];
    expect(left.filter((one) => !hidden.includes(one))).toEqual([]);
    expect(new Set(shown).size).toBe(shown.length);
  });

  it('offers days and months by name, and no list of numbers as months', () => {
    const span = schemaOf('DailySpan').properties ?? {};
    expect(
      picksOf(span.weekdays ?? {})
        ?.map((one) => one.name)
        .join(' '),
    ).toBe('Mon Tue Wed Thu Fri Sat Sun');
    expect(picksOf(span.months ?? {})?.[11]).toEqual({ value: 12, name: 'Dec' });
    expect(picksOf(schemaOf('BatteryTable').properties?.statesOfCharge ?? {})).toBeUndefined();
  });

  it('tells shares in % and sums a theme up', () => {
    const bank = schemaOf('BatteryBank').properties ?? {};
    expect(shownAs(bank.startStateOfCharge ?? {})).toEqual({ unit: '%', factor: 100 });
    expect(inWords(bank.startStateOfCharge ?? {}, 'startStateOfCharge', 0.72)).toBe(
      'start state of charge 72 %',
    );
    const cable = (schemaOf('Load').properties ?? {}).cable ?? {};
    expect(inWords(cable, 'cable', { crossSectionSquareMillimetres: 6, oneWayMetres: 4 })).toBe(
      'cross-section 6 mm², length one way 4 m',
    );
  });
});

describe('parts', () => {
  it.each(KINDS)('$name begins with all it must have, each number a guess', (one) => {
    const before = one.list === 'inverter' ? small : barn;
    expect(hindrance(before, one)).toBe('');
    const { plan, id } = withPart(before, one);
    const path = pathOf(one, id);
    const part = atPlace(plan, path.split('/')) as Record<string, unknown> | undefined;
    for (const field of schemaOf(one.schema).required ?? []) expect(part?.[field], field).toBeDefined();
    const numbers = numbersIn(part, path);
    expect(numbers.every((key) => plan.origins[key]?.kind === 'GUESS')).toBe(true);
    expect(numbers.length > 0 || one.list === 'radios').toBe(true);
    expect(kindAt(path)?.list).toBe(one.list === 'acArrays' ? 'arrays' : one.list);
    const gone = withoutPart(plan, path);
    expect(atPlace(gone, path.split('/'))).toBeUndefined();
    const left = Object.keys(gone.origins).filter(
      (key) => `${key}/`.startsWith(`${path}/`) || key.includes(`/${id}/`),
    );
    expect(left, 'what is said of its numbers goes along').toEqual([]);
  });

  it('come to the AC side of an inverter, and go with it; a charger in it has setpoints as long as it is there', () => {
    const added = withPart(small, kind('inverter')).plan;
    expect(hindrance(small, kind('acArrays'))).toBe('only with an inverter');
    expect(hindrance(added, kind('acSources'))).toContain('transfer switch');
    const array = withPart(added, kind('acArrays')).plan;
    expect(array.site.acArrays).toHaveLength(1);
    const charger = { maximumAmperes: 30, efficiency: 0.9 };
    const charging = inOrder(withPlace(array, ['site', 'inverter', 'charger'], charger));
    const id = charging.site.inverter?.id;
    expect(charging.program.charging.map((one) => one.controller)).toContain(id);
    const gone = withoutPart(charging, 'site/inverter');
    expect(gone.site.inverter).toBeUndefined();
    expect(gone.site.acArrays).toEqual([]);
    expect(gone.program.charging).toEqual(small.program.charging);
  });

  it('batteries side by side share the capacity alike, and the last one left is the bank', () => {
    const two = withPart(small, kind('batteries'));
    expect(two.plan.site.battery.batteries?.map((one) => one.capacityShare)).toEqual([0.5, 0.5]);
    const boxes = withPart(house, kind('batteries'));
    expect(boxes.plan.site.battery.batteries?.find((one) => one.id === boxes.id)?.bms).toBeDefined();
    const three = withPart(two.plan, kind('batteries')).plan;
    const shares = three.site.battery.batteries?.map((one) => one.capacityShare) ?? [];
    expect(shares).toHaveLength(3);
    expect(shares.reduce((sum, one) => sum + one)).toBeCloseTo(1, 9);
    expect(withoutPart(two.plan, pathOf(kind('batteries'), two.id)).site.battery.batteries).toEqual([]);
  });

  it('are found wherever they are named, and what needs none can do without', () => {
    const plan = barn;
    const point = plan.site.sensePoints.find((one) =>
      usesOf(plan, 'sensePoints', one.id).some((use) => !use.optional),
    );
    expect(point, 'a rule reads at a sense point').toBeDefined();
    for (const monitor of plan.site.monitors ?? []) {
      for (const use of usesOf(plan, 'monitors', monitor.id)) {
        expect(
          usesOf(withOther(plan, use, monitor.id, 'another'), 'monitors', monitor.id),
        ).not.toContainEqual(use);
      }
    }
    const load = plan.program.outputs.flatMap((one) => one.loads)[0] ?? 'none';
    const uses = usesOf(plan, 'loads', load);
    expect(uses.length).toBeGreaterThan(0);
    const rid = uses.reduce((next, use) => withOther(next, use, load), plan);
    expect(usesOf(rid, 'loads', load)).toEqual([]);
  });

  it('that go are named nowhere any more', () => {
    const plan = small;
    const gone = plan.program.outputs.find((output) => output.loads.length > 0)?.loads[0] ?? 'none';
    expect(gone).not.toBe('none');
    const text = JSON.stringify(
      withoutPart(plan, `site/loads/${gone}`).program.outputs.map((one) => one.loads),
    );
    expect(text).not.toContain(`"${gone}"`);
  });

  it('a new controller takes no array from another, and can be drawn', () => {
    const { plan, id } = withPart(small, kind('controllers'));
    const wired = plan.site.controllers.flatMap((one) => one.arrays);
    expect(new Set(wired).size).toBe(wired.length);
    const own = plan.site.controllers.find((one) => one.id === id)?.arrays ?? [];
    expect(plan.site.arrays.map((one) => one.id)).toEqual(expect.arrayContaining(own));
    const again = withPart(withoutPart(plan, `site/controllers/${id}`), kind('controllers'));
    expect(again.plan.site.arrays, 'the array that is free now is taken').toHaveLength(
      plan.site.arrays.length,
    );
  });

  it('a new controller has setpoints', () => {
    const { plan, id } = withPart(small, kind('controllers'));
    expect(plan.program.charging.map((one) => one.controller)).toContain(id);
  });
});

describe('fields by the schema', () => {
  it('begin with what is usual for the charger where that is known, each number by its path', () => {
    const usual = { mppt: { overVoltage: { stopVolts: 29.4, releaseVolts: 27 } } } as never;
    const found = usualAt(usual, 'program/charging/mppt/details/overVoltage');
    expect(found).toEqual({ stopVolts: 29.4, releaseVolts: 27 });
    expect(usualAt(usual, 'site/loads/radio/cable')).toBeUndefined();
    expect(numbersIn(found, 'p')).toEqual(['p/stopVolts', 'p/releaseVolts']);
  });

  it('begin with what is usual elsewhere, a bank’s voltages by its own', () => {
    const of = (volts: number) => ({ ...small, site: { ...small.site, nominalVolts: volts } });
    expect(beginning(schemaOf('Bms'), of(12))).toMatchObject({ highVolts: 14.6, chargeHotCelsius: 50 });
    expect(beginning(schemaOf('Bms'), of(48))).toMatchObject({ highVolts: 58.4, chargeHotCelsius: 50 });
  });

  it('finds the kind of what may be of several', () => {
    const consumption = schemaOf('Consumption');
    expect(kindOf(chosen(consumption, { kind: 'cycling' }))).toBe('cycling');
    expect(beginning(consumption, small)).toMatchObject({ kind: 'constantPower', watts: 0 });
  });

  it.each([
    ['Cable', 'oneWayMetres', 'length one way', 'm'],
    ['BatteryBank', 'capacityAmpereHours', 'capacity', 'Ah'],
    ['Inverter', 'continuousVoltAmperes', 'continuous apparent power', 'VA'],
    ['Generator', 'litresPerKilowattHour', 'fuel for each kWh', 'l/kWh'],
  ])('%s.%s is said "%s" in "%s"', (kind, field, words, unit) => {
    expect(schemaOf(kind).properties?.[field]).toMatchObject({ title: words, unit });
  });
});
