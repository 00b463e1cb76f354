import type { Origin, Plan } from '../lib/api/api';
import { typed } from '../lib/sentence/quantity';
import { wordsOf } from '../lib/words';
import { atPlace, namedAt, placeOf, withPlace } from '../lib/plan/planPath';
import { chosen, followed, labelOf, schemaOf, shownAs, type Schema } from '../plan/system/schema';

/** A number of a plan that nobody has confirmed. */
export interface Question {
  path: string;
  /** Where it is said that it is a guess: there, or at what it is a number of. */
  origin: string;
  /** What the crew calls the part it is of. */
  part: string;
  label: string;
  unit: string;
  /** As it is shown, in that unit. */
  value: number;
  /** How much of that unit one of the document's own is. */
  factor: number;
  /** Whether it is a battery's: these are asked first. */
  battery: boolean;
}

/** What somebody answered: a number in the unit of the question, empty where the guess was right, and who said so. */
export interface Answer {
  value: string;
  said: string;
}

/** The schema of what stands at a place of a plan. */
function schemaAt(plan: Plan, path: string): Schema {
  let schema: Schema = { properties: { site: schemaOf('Site'), program: schemaOf('Program') } };
  let value: unknown = plan;
  for (const step of path.split('/')) {
    const whole = followed(schema);
    const here = whole.oneOf ? chosen(whole, value) : whole;
    schema = here.type === 'array' ? (here.items ?? {}) : (here.properties?.[step] ?? {});
    value = atPlace(value, [step]);
  }
  return schema;
}

/** All numbers of a plan that are guesses, the batteries' first. */
export function questionsOf(plan: Plan): Question[] {
  return Object.entries(plan.origins)
    .filter(([, origin]) => origin.kind === 'GUESS')
    .flatMap(([origin]) =>
      numbersOf(atPath(plan, origin), origin).map((path) => question(plan, path, origin)),
    )
    .sort((one, other) => Number(other.battery) - Number(one.battery));
}

/** Paths of all numbers in a value, also of entries that have no id and go by their place. */
function numbersOf(value: unknown, path: string): string[] {
  if (typeof value === 'number') return [path];
  if (typeof value !== 'object' || value === null) return [];
  return Object.entries(value).flatMap(([key, inner]) => numbersOf(inner, `${path}/${key}`));
}

function question(plan: Plan, path: string, origin: string): Question {
  const schema = schemaAt(plan, path);
  const { unit, factor } = shownAs(schema);
  const battery = path.startsWith('site/battery/');
  const name = labelOf(schema, path.split('/').at(-1) ?? '');
  return {
    path,
    origin,
    part: battery ? 'Battery' : namedAt(plan, `/${path}`),
    label: [
      ...(path === origin ? [] : [`${wordsOf(origin.split('/').at(-1) ?? '')},`]),
      ...path
        .split('/')
        .filter((step) => /^\d+$/.test(step))
        .map((step) => `${Number(step) + 1}.`),
      name,
    ].join(' '),
    unit,
    value: Number((Number(atPath(plan, path)) * factor).toPrecision(12)),
    factor,
    battery,
  };
}

function atPath(plan: Plan, path: string): unknown {
  const place = placeOf(plan, path);
  return place && atPlace(plan, place);
}

/** What is typed as an answer: the guess itself where nothing is, undefined where it is no number. */
export function typedNumber(question: Question, answer: Answer): number | undefined {
  return answer.value.trim() === '' ? question.value : typed(answer.value, question.unit);
}

/** Whether something was answered: another number, or who confirms the guess. */
export const isAnswered = (answer: Answer | undefined): answer is Answer =>
  !!answer && (answer.value.trim() !== '' || answer.said.trim() !== '');

/** The plan with answers taken in: the numbers, and where they come from now. */
export function answered(plan: Plan, questions: Question[], answers: Record<string, Answer>): Plan {
  let next = plan;
  const origins = new Map(Object.entries(plan.origins));
  for (const one of questions) {
    const answer = answers[one.path];
    const number = answer && typedNumber(one, answer);
    const place = placeOf(plan, one.path);
    if (!isAnswered(answer) || number === undefined || !place) continue;
    if (number !== one.value) next = withPlace(next, place, Number((number / one.factor).toPrecision(12)));
    // What is a guess as a whole stays one for the numbers of it that nobody has answered.
    for (const other of questions) {
      if (other.origin === one.origin && !origins.has(other.path))
        origins.set(other.path, plan.origins[one.origin] as Origin);
    }
    if (one.origin !== one.path) origins.delete(one.origin);
    origins.set(one.path, { kind: 'MAKERS_SHEET', note: answer.said.trim() });
  }
  return { ...next, origins: Object.fromEntries(origins) };
}
