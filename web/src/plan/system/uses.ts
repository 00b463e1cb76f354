import type { Plan } from '../../lib/api/api';
import { wordsOf } from '../../lib/words';
import { atPlace, withPlace, type Path } from '../../lib/plan/planPath';
import { chosen, followed, schemaOf, type Schema } from './schema';

/** A place of a plan that names a part. */
export interface Use {
  place: Path;
  /** In words: what field of what part it is. */
  says: string;
  /** Whether the plan may do without a name there. */
  optional: boolean;
}

/** What goes along with a part without being asked: the setpoints of a charger, how an array is coupled, notes on a finding. */
const GOES_ALONG = ['charging', 'acArrays', 'dismissed', 'temporary'];

/** All places of a plan that name a part of one of its lists, found along the published schema, which says what refers to what. */
export function usesOf(plan: Plan, list: string, id: string): Use[] {
  const found: Use[] = [];
  look(plan, schemaOf('Plan'), [], 'the plan', { list, id }, found);
  return found;
}

function look(
  value: unknown,
  raw: Schema,
  place: Path,
  of: string,
  sought: { list: string; id: string },
  found: Use[],
) {
  const outer = followed(raw);
  const schema = outer.oneOf ? chosen(outer, value) : outer;
  if (Array.isArray(value)) {
    value.forEach((entry, i) => look(entry, schema.items ?? {}, [...place, i], of, sought, found));
  } else if (typeof value === 'object' && value !== null) {
    const own = (value as { name?: string }).name ?? of;
    for (const [field, inner] of Object.entries(value)) {
      const part = schema.properties?.[field];
      if (!part || GOES_ALONG.includes(field)) continue;
      const names = part.refersTo?.includes(sought.list) ?? false;
      const says = `${wordsOf(field)} of ${own}`;
      if (names && inner === sought.id) {
        const optional = !(schema.required?.includes(field) ?? false);
        found.push({ place: [...place, field], says, optional });
      } else if (names && Array.isArray(inner) && inner.includes(sought.id)) {
        const optional = inner.length > (followed(part).minItems ?? 0);
        found.push({ place: [...place, field], says, optional });
      } else {
        look(inner, part, [...place, field], own, sought, found);
      }
    }
  }
}

/** A plan in which a place names another part instead, or none where nothing is told. */
export function withOther(plan: Plan, use: Use, id: string, other?: string): Plan {
  const parent = use.place.slice(0, -1);
  const field = String(use.place.at(-1));
  const owner = atPlace(plan, parent);
  const { [field]: named, ...rest } = owner as Record<string, unknown>;
  if (Array.isArray(named)) {
    const others = named.filter((one) => one !== id && one !== other);
    return withPlace(plan, use.place, other === undefined ? others : [...others, other]);
  }
  return withPlace(plan, parent, other === undefined ? rest : { ...rest, [field]: other });
}
