import type { Plan } from '../api/api';

/** Names of everything that stands at a site or is programmed there, by id. */
export function partNames({ site, program }: Plan): Record<string, string> {
  const parts = [
    ...program.outputs,
    ...site.controllers,
    ...site.loads,
    ...(site.battery.batteries ?? []),
    ...(site.converters ?? []),
    ...(site.inverter ? [site.inverter] : []),
    ...(site.acSources ?? []),
    ...(site.tanks ?? []),
    ...(site.monitors ?? []),
    ...site.arrays,
    ...(site.dcSources ?? []),
    ...(site.sensePoints ?? []),
    ...(program.devices ?? []),
  ];
  return Object.fromEntries(parts.map((one) => [one.id, one.name]));
}

/** What a part is called, the site itself where none is named. */
export function partName(plan: Plan, id: string): string {
  return id === '' ? plan.site.name : (partNames(plan)[id] ?? id);
}

/** A level by the name of its output and its term, said once where the output is called by it. */
export function levelName(output: string, term: string): string {
  return output.toLowerCase().includes(term.toLowerCase()) ? output : `${output} ${term}`;
}

/** What an output does to what is behind its contact, in words. */
export function actsOn(plan: Plan, ids: string[]): string {
  const names = partNames(plan);
  const acted = ids.map((id) => {
    const name = names[id] ?? id;
    if (plan.site.acSources?.some((one) => one.id === id)) return `starts ${name}`;
    return plan.site.loads.some((one) => one.id === id) ? `feeds ${name}` : `enables ${name}`;
  });
  return acted.length === 0 ? 'signals only' : acted.join(', ').replaceAll(', feeds ', ', ');
}
