/** Reading and writing inside a plan by path, and telling two plans apart. */
export type Path = (string | number)[];

/** A copy of a value with one place changed; the original stays as it is. */
export function withPlace<T>(value: T, path: Path, replacement: unknown): T {
  const [first, ...rest] = path;
  if (first === undefined) return replacement as T;
  if (Array.isArray(value)) {
    return value.map((entry, i) => (i === Number(first) ? withPlace(entry, rest, replacement) : entry)) as T;
  }
  const object = value as Record<string, unknown>;
  return { ...object, [first]: withPlace(object[String(first)], rest, replacement) } as T;
}

/** What stands at a place; undefined where there is no such place. */
export function atPlace(value: unknown, path: Path): unknown {
  return path.reduce<unknown>(
    (tree, key) => (tree as Record<string | number, unknown> | undefined)?.[key],
    value,
  );
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
