import document from '../../../../docs/schema/plan-1.schema.json';
import type { Plan, Reading } from '../../lib/api/api';
import { MONTHS } from '../../lib/sentence/days';
import { capital, written } from '../../lib/sentence/quantity';
import { choiceOf, wordsOf } from '../../lib/words';

/** What the forms use of a JSON Schema. */
export interface Schema {
  $ref?: string;
  type?: string;
  enum?: (string | number)[];
  const?: string;
  oneOf?: Schema[];
  items?: Schema;
  /** Of numbers by names. */
  additionalProperties?: Schema | boolean;
  properties?: Record<string, Schema>;
  required?: string[];
  /** What a form calls the field, and its unit. */
  title?: string;
  unit?: string;
  /** What the number usually is, common practice, no source; or what it is of a bank of 12 V. */
  usual?: number;
  usualOf12Volts?: number;
  /** A share of one, shown in %. */
  share?: boolean;
  /** What is absent counts as yes. */
  yesByItself?: boolean;
  /** Id of a list on the page that has what a text can be. */
  offers?: string;
  /** The lists in which the part can stand whose id the field is, of the site or the program. */
  refersTo?: string[];
  description?: string;
  minimum?: number;
  exclusiveMinimum?: number;
  maximum?: number;
  minItems?: number;
  pattern?: string;
}

const defs = document.$defs as unknown as Record<string, Schema>;

/** The published schema of a kind of part. */
export function schemaOf(name: string): Schema {
  const found = defs[name];
  if (!found) throw new Error(`the schema has no ${name}`);
  return found;
}

/**
 * A schema with its reference followed; what is said at the place itself wins, and what is said of
 * the type stays with the type.
 */
export function followed(schema: Schema): Schema {
  if (!schema.$ref) return schema;
  const { $ref, ...said } = schema;
  const type = schemaOf($ref.replace('#/$defs/', ''));
  return { ...type, title: undefined, description: undefined, ...said };
}

/** The kind that a schema of several fixes. */
export function kindOf(schema: Schema): string | undefined {
  const kind = followed(schema).properties?.kind;
  return kind?.const ?? (kind?.enum?.[0] as string | undefined);
}

/** The one of several schemas that a value is of. */
export function chosen(schema: Schema, value: unknown): Schema {
  const kind = (value as { kind?: string } | undefined)?.kind;
  const all = schema.oneOf ?? [];
  return followed(all.find((one) => kindOf(one) === kind) ?? all[0] ?? schema);
}

/**
 * What to begin with: the usual number where there is one, else the smallest that the schema allows, so that it looks unfinished and not
 * plausible.
 */
export function beginning(raw: Schema, plan: Plan, whole = raw): unknown {
  const schema = followed(raw);
  if (schema.oneOf) return beginning(schema.oneOf[0] ?? {}, plan);
  if (schema.const !== undefined) return schema.const;
  if (schema.enum) return schema.enum[0];
  if (schema.additionalProperties && !schema.properties) return {};
  if (schema.type === 'object' || schema.properties) {
    const required = schema.required ?? [];
    return Object.fromEntries(
      Object.entries(schema.properties ?? {})
        .filter(([key]) => required.includes(key))
        .map(([key, part]) => [key, beginning(part, plan)]),
    );
  }
  if (schema.type === 'array') {
    return Array.from({ length: schema.minItems ?? 0 }, () => beginning(schema.items ?? {}, plan, schema));
  }
  if (schema.type === 'boolean') return false;
  if (schema.type === 'number' || schema.type === 'integer')
    return usualNumber(schema, plan) ?? schema.minimum ?? (schema.exclusiveMinimum ?? 0) + 1;
  return references(whole, plan)?.[0]?.id ?? 'new';
}

/** What an optional field begins with when it is asked for: a yes or no with what it is not by itself. */
export function asked(raw: Schema, plan: Plan): unknown {
  const schema = followed(raw);
  return schema.type === 'boolean' ? !schema.yesByItself : beginning(raw, plan);
}

function usualNumber(schema: Schema, plan: Plan): number | undefined {
  if (schema.usualOf12Volts === undefined) return schema.usual;
  return Math.round((schema.usualOf12Volts * plan.site.nominalVolts * 10) / 12) / 10;
}

/** What a charger's further setting usually begins with, by its path: program/charging/ID/details/…; undefined for all else. */
export function usualAt(usual: Reading['usualCharging'] | undefined, path: string): unknown {
  const [program, charging, id, details, ...rest] = path.split('/');
  if (program !== 'program' || charging !== 'charging' || details !== 'details' || rest.length === 0) return;
  return rest.reduce<unknown>(
    (tree, key) => (tree as Record<string, unknown> | undefined)?.[key],
    usual?.[id ?? ''],
  );
}

/** The paths of all numbers in a value that stands at a path. */
export function numbersIn(value: unknown, path: string): string[] {
  if (typeof value === 'number') return [path];
  if (typeof value !== 'object' || value === null || Array.isArray(value)) return [];
  return Object.entries(value).flatMap(([key, inner]) => numbersIn(inner, `${path}/${key}`));
}

/** How a number is shown: in which unit, and how often that goes into the document's; shares and changes with temperature in %. */
export function shownAs(schema: Schema): { unit: string; factor: number } {
  if (schema.share) return { unit: '%', factor: 100 };
  const percent = { '1/K': '%/K', 'per day': '% a day' }[schema.unit ?? ''];
  return percent ? { unit: percent, factor: 100 } : { unit: schema.unit ?? '', factor: 1 };
}

/** What a form calls a field. */
export function labelOf(schema: Schema, field: string): string {
  return schema.title ?? wordsOf(field);
}

/** A value in words, for a line that sums a theme up; empty for what is not told in one. */
export function inWords(raw: Schema, field: string, value: unknown): string {
  const schema = followed(raw);
  if (typeof value === 'number') {
    const { unit, factor } = shownAs(raw);
    return `${labelOf(raw, field)} ${written(value * factor, unit).trim()}`;
  }
  if (typeof value === 'boolean') return value ? labelOf(raw, field) : '';
  if (schema.enum && typeof value === 'string') return choiceOf(value);
  if (Array.isArray(value))
    return value.length > 0 && typeof value[0] === 'object' ? `${value.length} set` : '';
  if (typeof value !== 'object' || value === null) return '';
  const inner = schema.oneOf ? chosen(schema, value) : schema;
  return Object.entries(value)
    .map(([key, one]) => inWords(inner.properties?.[key] ?? {}, key, one))
    .filter(Boolean)
    .slice(0, 3)
    .join(', ');
}

/** What a list takes some of: days of the week by their names, months by theirs; undefined for any other list. */
export function picksOf(schema: Schema): { value: string | number; name: string }[] | undefined {
  const items = followed(schema.items ?? {});
  if (items.enum)
    return items.enum.map((one) => ({ value: one, name: capital(String(one).slice(0, 3).toLowerCase()) }));
  if (items.minimum !== 1 || items.maximum !== 12) return undefined;
  return MONTHS.map((name, i) => ({ value: i + 1, name: capital(name) }));
}

/** A plan in which each number of what begins at a path is a guess, until somebody confirms it. */
export function guessed(plan: Plan, begun: unknown, path: string): Plan {
  const origins = numbersIn(begun, path).map((one) => [one, { kind: 'GUESS' as const, note: '' }]);
  return { ...plan, origins: { ...plan.origins, ...Object.fromEntries(origins) } };
}

interface Named {
  id: string;
  name: string;
}

/** What a field that names another part can name; undefined where it names none. */
export function references(schema: Schema, plan: Plan): Named[] | undefined {
  return schema.refersTo?.flatMap((list) => partsIn(list, plan));
}

/** The parts in one of a plan's lists, of the site or the program; the inverter is a list of one. */
export function partsIn(list: string, plan: Plan): Named[] {
  const parts =
    plan.site[list as keyof Plan['site']] ?? plan.program[list as keyof Plan['program']] ?? ([] as Named[]);
  return (Array.isArray(parts) ? parts : [parts]) as Named[];
}
