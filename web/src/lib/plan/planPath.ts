/**
 * Places in a plan. A place is written as the server writes it, the names on the way joined by slashes with ids for entries of lists,
 * `program/outputs/radio/protection/lvdVolts`; here also as its steps. An entry without an id goes by its number.
 */
export type Path = (string | number)[];

function idOf(entry: unknown): string | undefined {
  const known = entry as { id?: string; controller?: string; array?: string } | null | undefined;
  return typeof entry === 'object' ? (known?.id ?? known?.controller ?? known?.array) : undefined;
}

/** Which entry of a list a step names, by id, or by number where the entry has none; −1 for none. */
function indexIn(list: unknown[], step: string | number): number {
  if (typeof step === 'number') return step < list.length ? step : -1;
  const byId = list.findIndex((entry) => idOf(entry) === step);
  if (byId >= 0) return byId;
  return /^\d+$/.test(step) && Number(step) < list.length && idOf(list[Number(step)]) === undefined
    ? Number(step)
    : -1;
}

function inside(tree: unknown, step: string | number): unknown {
  if (Array.isArray(tree)) return (tree as unknown[])[indexIn(tree, step)];
  return (tree as Record<string | number, unknown> | undefined)?.[step];
}

/** A copy of a value with one place changed; the original stays as it is. */
export function withPlace<T>(value: T, path: Path, replacement: unknown): T {
  const [first, ...rest] = path;
  if (first === undefined) return replacement as T;
  if (Array.isArray(value)) {
    const meant = indexIn(value, first);
    return value.map((entry, i) => (i === meant ? withPlace(entry, rest, replacement) : entry)) as T;
  }
  const object = value as Record<string, unknown>;
  return { ...object, [first]: withPlace(object[String(first)], rest, replacement) } as T;
}

/** What stands at a place; undefined where there is no such place. */
export function atPlace(value: unknown, path: Path): unknown {
  return path.reduce<unknown>(inside, value);
}

/** What the crew calls the part in which a JSON Pointer ends, its id where it has lost its name; the plan where it is in none. */
export function namedAt(plan: unknown, pointer: string): string {
  let named = 'the plan';
  let tree = plan;
  for (const step of pointer.split('/').slice(1)) {
    tree = inside(tree, step);
    const name = (tree as { name?: unknown } | undefined)?.name;
    if (typeof name === 'string') named = name.trim() || (idOf(tree) ?? named);
  }
  return named;
}

/** Where two values differ: the path in words, and both values. */
export interface Difference {
  place: string;
  mine: string;
  theirs: string;
}

function name(entry: unknown, index: number): string {
  const known = entry as { name?: string; id?: string; controller?: string } | undefined;
  return known?.name ?? known?.id ?? known?.controller ?? String(index + 1);
}

/** Lists the differences between two plans, by place. */
export function differences(mine: unknown, theirs: unknown, place: string[] = []): Difference[] {
  if (JSON.stringify(mine) === JSON.stringify(theirs)) return [];
  const isTree = (value: unknown) => typeof value === 'object' && value !== null;
  if (!isTree(mine) || !isTree(theirs)) {
    const text = (value: unknown) =>
      value === undefined ? 'none' : isTree(value) ? 'present' : String(value);
    return [{ place: place.join(' › '), mine: text(mine), theirs: text(theirs) }];
  }
  const a = mine as Record<string, unknown>;
  const b = theirs as Record<string, unknown>;
  const keys = [...new Set([...Object.keys(a), ...Object.keys(b)])];
  return keys.flatMap((key) => {
    const label = Array.isArray(mine) ? name(a[key] ?? b[key], Number(key)) : key;
    return differences(a[key], b[key], [...place, label]);
  });
}

/** The steps of a place; undefined where a part on the way is not there. */
export function placeOf(plan: unknown, path: string): Path | undefined {
  const steps = path.split('/').filter((one) => one !== '');
  const owner = atPlace(plan, steps.slice(0, -1));
  const isThere = Array.isArray(owner) ? indexIn(owner, steps.at(-1) ?? '') >= 0 : owner !== undefined;
  return isThere ? steps : undefined;
}

/** What two people changed in different ways at one place; undefined where one of them took it away. */
export interface Clash {
  path: Path;
  place: string;
  mine: unknown;
  theirs: unknown;
}

export type Side = 'mine' | 'theirs';

/** Both joined, and where that did not go: of each such place stands what was chosen, or mine. */
export interface Joined {
  value: unknown;
  clashes: Clash[];
}

const same = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b);
const isObject = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/**
 * Joins what two people made of one plan: what only one of them changed is taken from that one, what both changed alike stands once,
 * what both changed differently, or one changed and the other took away, is a clash.
 *
 * @param choose what is to stand at the path of a clash
 */
export function merge(
  base: unknown,
  mine: unknown,
  theirs: unknown,
  choose: (path: string) => Side = () => 'mine',
): Joined {
  const clashes: Clash[] = [];
  const value = joined(base, mine, theirs, [], []);
  return { value, clashes };

  function joined(base: unknown, mine: unknown, theirs: unknown, path: Path, place: string[]): unknown {
    if (same(mine, theirs) || same(theirs, base)) return mine;
    if (same(mine, base)) return theirs;
    if (isObject(mine) && isObject(theirs) && mine.kind === theirs.kind) {
      return objects(isObject(base) ? base : {}, mine, theirs, path, place);
    }
    if (Array.isArray(mine) && Array.isArray(theirs) && Array.isArray(base)) {
      const all = [...base, ...mine, ...theirs] as unknown[];
      if (all.every((entry) => idOf(entry) !== undefined)) return lists(base, mine, theirs, path, place);
    }
    clashes.push({ path, place: place.join(' › '), mine, theirs });
    return choose(path.join('/')) === 'theirs' ? theirs : mine;
  }

  function objects(
    base: Record<string, unknown>,
    mine: Record<string, unknown>,
    theirs: Record<string, unknown>,
    path: Path,
    place: string[],
  ) {
    const value: Record<string, unknown> = {};
    for (const key of new Set([...Object.keys(mine), ...Object.keys(theirs)])) {
      const part = joined(base[key], mine[key], theirs[key], [...path, key], [...place, key]);
      if (part !== undefined) value[key] = part;
    }
    return value;
  }

  /** In my order; what only they have comes last. */
  function lists(base: unknown[], mine: unknown[], theirs: unknown[], path: Path, place: string[]) {
    const find = (list: unknown[], id: string) => list.find((entry) => idOf(entry) === id);
    const value: unknown[] = [];
    for (const id of new Set([...mine, ...theirs].map((entry) => idOf(entry) ?? ''))) {
      const [old, own, other] = [find(base, id), find(mine, id), find(theirs, id)];
      const part = joined(old, own, other, [...path, id], [...place, name(own ?? other, value.length)]);
      if (part !== undefined) value.push(part);
    }
    return value;
  }
}
