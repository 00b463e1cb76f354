import type { Plan } from '../../lib/api/api';
import { decimal } from '../../lib/sentence/quantity';
import { HALF, marksOf } from './marks';
import { INDENT, NARROW, REACH, ROW, WIDE } from './sketchSizes';
import type { Part, Tree } from './tree';

/** A part on the sketch: its symbol, its words, and what can be pressed. */
export interface Placed {
  part: Part;
  /** Middle of the symbol. */
  x: number;
  y: number;
  /** Where its words begin, or end where they stand before the symbol. */
  words: { x: number; width: number; before: boolean };
  /** What can be pressed: the symbol and the words. */
  box: { x: number; y: number; width: number; height: number };
}

/** A conductor, from corner to corner. */
export interface Wire {
  /** Path of the part it belongs to. */
  path: string;
  points: [number, number][];
  ac: boolean;
  /** How heavy it is drawn, by what it carries. */
  weight: number;
  /** What it drops at the worst, where that is known, and where that stands. */
  drop?: { text: string; x: number; y: number };
}

/** A contact of an output where it interrupts. */
export interface Contact {
  output: string;
  name: string;
  closed: boolean;
  x: number;
  y: number;
}

/** A place where voltage is read. */
export interface Mark {
  path: string;
  name: string;
  x: number;
  y: number;
}

export interface Sketch {
  placed: Placed[];
  wires: Wire[];
  contacts: Contact[];
  marks: Mark[];
  bus: { x: number; from: number; to: number };
  width: number;
  height: number;
}

/** Line weight (px) by what a conductor carries (A): beyond the thinnest it doubles with four times the current, up to what can be drawn. */
export function weight(amperes: number | undefined): number {
  return Math.min(7, 1.3 + 0.28 * Math.sqrt(amperes ?? 0));
}

/** The one-line diagram of a site: what feeds the bus and the battery on its left, what it feeds on its right; below each other where it is narrow. */
export function sketchOf(tree: Tree, plan: Plan, narrow = false): Sketch {
  const placed: Placed[] = [];
  const wires: Wire[] = [];
  const contacts: Contact[] = [];

  function put(part: Part, x: number, y: number, words: { to: number } | { from: number }) {
    const before = 'from' in words;
    const start = before ? x - HALF - 8 : x + HALF + 8;
    const width = before ? start - words.from : words.to - start;
    const left = before ? words.from : x - HALF - 4;
    placed.push({
      part,
      x,
      y,
      words: { x: start, width, before },
      box: {
        x: left,
        y: y - REACH,
        width: before ? x + HALF + 4 - left : words.to - left,
        height: 2 * REACH,
      },
    });
  }

  function wire(part: Part, points: [number, number][], drop?: { x: number; y: number }) {
    const volts = part.wire?.dropVolts;
    const text = volts === undefined ? '' : decimal(volts, 2);
    const at = drop && Number(text) > 0 ? { text: `−${text} V`, ...drop } : undefined;
    wires.push({ path: part.path, points, ac: part.ac, weight: weight(part.wire?.amperes), drop: at });
  }

  /** From the middle of a symbol to where its wire begins. */
  function lead(part: Part) {
    return part.symbol === 'join' ? 0 : HALF;
  }

  function contact(part: Part, x: number, y: number) {
    const output = part.contact;
    if (!output) return;
    const forced = output.testForce !== 'NONE';
    const closed = forced ? output.testForce === 'CLOSED' : output.mode === 'ON';
    contacts.push({ output: output.id, name: output.name, closed, x, y });
  }

  const { width, bus, top, bottom } = (narrow ? below : beside)();
  return {
    placed,
    wires,
    contacts,
    marks: marksOf(plan, placed, { x: bus, y: top }),
    bus: { x: bus, from: top, to: bottom.bus },
    width,
    height: bottom.all + ROW / 2 + 4,
  };

  /** Sources and battery on the left of the bus, what it feeds on the right. */
  function beside() {
    const at = WIDE;
    let y = ROW / 2 + 8;
    const top = y;
    let joins = y;
    for (const one of tree.supply) {
      if (one.symbol === 'array') {
        put(one, at.supply, y, { from: 8 });
        y += ROW;
        continue;
      }
      one.parts.forEach((array, i) => {
        const line = y + i * ROW;
        put(array, at.array, line, { from: 8 });
        const end = at.supply - HALF;
        wire(array, [
          [at.array + HALF, line],
          ...((i === 0
            ? []
            : [
                [end - 18, line],
                [end - 18, y],
              ]) as [number, number][]),
          [end, y],
        ]);
        contact(array, at.array + 46, line);
      });
      put(one, at.supply, y, { to: at.supplyContact - 20 });
      wire(
        one,
        [
          [at.supply + HALF, y],
          [at.bus, y],
        ],
        { x: at.bus - 6, y: y + 17 },
      );
      contact(one, at.supplyContact, y);
      joins = y;
      y += Math.max(1, one.parts.length) * ROW;
    }
    y += 8;
    const line = y;
    put(tree.bank, at.supply, y, { from: 8 });
    placed.push({
      part: tree.main,
      x: at.supply + 70,
      y,
      words: { x: at.supply + 54, width: 145, before: false },
      box: { x: at.supply + 50, y: y - REACH, width: at.bus - at.supply - 58, height: 2 * REACH },
    });
    wire(
      tree.main,
      [
        [at.supply + lead(tree.bank), y],
        [at.bus, y],
      ],
      { x: at.bus - 6, y: y - 8 },
    );
    joins = Math.max(joins, y);
    for (const one of tree.bank.parts) {
      y += ROW;
      put(one, at.supply, y, { from: 40 });
      wire(one, [
        [at.supply + HALF, y],
        [at.supply + 32, y],
        [at.supply + 32, line],
      ]);
    }
    for (const one of tree.beside) {
      y += ROW;
      put(one, at.supply, y, { from: 8 });
    }
    let right = top;
    let last = top;
    for (const one of tree.users) {
      last = right;
      if (one.schema === 'Load') {
        load(one, at.bus, right, at.innerContact, at.load, at.width);
        right += ROW;
        continue;
      }
      put(one, at.user, right, { to: at.inner - 10 });
      wire(
        one,
        [
          [at.bus, right],
          [at.user - HALF, right],
        ],
        { x: at.user - 24, y: right + 17 },
      );
      contact(one, at.contact, right);
      let [line, end] = [right, right];
      for (const part of one.parts) {
        end = line;
        line = hung(part, at.inner, line, at.innerContact, at.load, at.width);
      }
      if (one.parts.length > 0)
        wire({ ...one, ac: one.symbol === 'inverter' }, [
          [at.user + HALF, right],
          [at.inner, right],
          [at.inner, end],
        ]);
      right = Math.max(right + ROW, line);
    }
    const bus = Math.max(joins, last);
    return { width: at.width, bus: at.bus, top, bottom: { bus, all: Math.max(y, right - ROW) } };
  }

  /** All below each other, each behind the bus. */
  function below() {
    const at = NARROW;
    let y = ROW / 2 + 8;
    const top = y;
    let joins = y;
    const row = (one: Part, isWired = true) => {
      put(one, at.part, y, { to: at.width });
      if (isWired) {
        wire(one, [
          [at.bus, y],
          [at.part - lead(one), y],
        ]);
        contact(one, at.contact, y);
        joins = y;
      }
      const first = y;
      y += ROW;
      let end = y;
      for (const inner of one.parts) {
        end = y;
        y = hung(inner, at.inner, y, at.innerContact, at.innerPart, at.width);
      }
      if (one.parts.length > 0)
        wire({ ...one, ac: one.symbol === 'inverter' }, [
          [at.part, first + lead(one)],
          [at.inner, end],
        ]);
    };
    for (const one of tree.supply) row(one, !one.loose);
    row({ ...tree.bank, wire: tree.main.wire });
    row(tree.main, false);
    for (const one of tree.users) row(one);
    for (const one of tree.beside) row(one, false);
    return { width: at.width, bus: at.bus, top, bottom: { bus: joins, all: y - ROW } };
  }

  /** A part in its row, and below it what hangs on it before the inverter, off its own symbol; where the next row is. */
  function hung(one: Part, from: number, y: number, contactX: number, x: number, to: number): number {
    load(one, from, y, contactX, x, to);
    return one.parts.reduce((line, inner) => {
      put(inner, x + INDENT, line, { to });
      wire(inner, [
        [x, y + HALF],
        [x, line],
        [x + INDENT - HALF, line],
      ]);
      contact(inner, x + INDENT / 2 - 8, line);
      return line + ROW;
    }, y + ROW);
  }

  function load(one: Part, from: number, y: number, contactX: number, x: number, to: number) {
    put(one, x, y, { to });
    wire(
      one,
      [
        [from, y],
        [x - HALF, y],
      ],
      from === WIDE.bus ? { x: contactX - 24, y: y - 7 } : undefined,
    );
    contact(one, contactX, y);
  }
}
