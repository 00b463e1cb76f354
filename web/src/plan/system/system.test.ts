import { usesOf, withOther } from './uses';
import { describe, expect, it } from 'vitest';
import hallgrund from '../../../../demo/hallgrund.json';
import kvarno from '../../../../demo/kvarno.json';
import skarvholm from '../../../../demo/skarvholm.json';
import type { Plan } from '../../lib/api/api';
import { placeOf } from '../planPath';
import { KINDS, type Kind, withoutPart, withPart } from './parts';
import { beginning, chosen, kindOf, schemaOf, numbersIn, usualAt } from './schema';
import { sketchOf, type Box } from './sketch';

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

function overlap(a: Box, b: Box) {
  return a.x < b.x + b.width && b.x < a.x + a.width && a.y < b.y + b.height && b.y < a.y + a.height;
}

describe('the sketch', () => {
  it.each([small, barn, house, crowded()])('has every part once, where nothing lies on another', (plan) => {
    const { boxes, marks, contacts, width, height } = sketchOf(plan);
    const paths = boxes.map((box) => box.path);
    expect(new Set(paths).size).toBe(paths.length);
    for (const list of ['loads', 'controllers', 'sensePoints', 'monitors', 'converters', 'tanks'] as const) {
      for (const part of plan.site[list] ?? []) {
        const path = `site/${list}/${part.id}`;
        expect([...paths, ...marks.map((mark) => mark.path)]).toContain(path);
      }
    }
    for (const [i, box] of boxes.entries()) {
      expect(placeOf(plan, box.path), box.path).toBeDefined();
      expect(box.x + box.width).toBeLessThanOrEqual(width);
      expect(box.y + box.height).toBeLessThanOrEqual(height);
      for (const other of boxes.slice(i + 1))
        expect(overlap(box, other), `${box.path} on ${other.path}`).toBe(false);
    }
    const switching = plan.program.outputs.filter((output) => output.loads.length > 0);
    const drawn = new Set(contacts.map((contact) => contact.output));
    expect(switching.filter((output) => !drawn.has(output.id)).map((output) => output.id)).toEqual([]);
  });
});

describe('parts', () => {
  it.each(KINDS)('$name begins with all it must have', (one) => {
    const { plan, id } = withPart(barn, one);
    const list = plan.site[one.list] as unknown as Record<string, unknown>[];
    const part = list.find((other) => other.id === id);
    for (const field of schemaOf(one.schema).required ?? []) expect(part?.[field], field).toBeDefined();
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
    ['Cable', 'oneWayMetres', 'one way', 'm'],
    ['BatteryBank', 'capacityAmpereHours', 'capacity', 'Ah'],
    ['Inverter', 'continuousVoltAmperes', 'continuous', 'VA'],
    ['Generator', 'litresPerKilowattHour', 'litres per kilowatt hour', 'l/kWh'],
  ])('%s.%s is said "%s" in "%s"', (kind, field, words, unit) => {
    expect(schemaOf(kind).properties?.[field]).toMatchObject({ title: words, unit });
  });
});
