import type { Output, Plan } from '../lib/api/api';

interface Named {
  id: string;
  name: string;
}

/** What can feed a device besides the main bus. */
export function suppliesOf({ site }: Plan): Named[] {
  return [...(site.converters ?? []), ...(site.inverter ? [site.inverter] : [])];
}

/** All that an output can act on: loads, and controllers, converters, the inverter, generators and DC sources by enable or start. */
export function switchableOf(plan: Plan): Named[] {
  const { site } = plan;
  const generators = (site.acSources ?? []).filter((one) => one.kind === 'generator');
  return [...site.loads, ...site.controllers, ...suppliesOf(plan), ...generators, ...(site.dcSources ?? [])];
}

/** A plan with one more output, off until it has a mode. */
export function withOutput(plan: Plan): { plan: Plan; output: Output } {
  const { outputs } = plan.program;
  let number = outputs.length + 1;
  while (outputs.some((one) => one.id === `output-${number}`)) number++;
  const output: Output = {
    id: `output-${number}`,
    name: `Output ${number}`,
    loads: [],
    mode: 'OFF',
    testForce: 'NONE',
  };
  return { plan: { ...plan, program: { ...plan.program, outputs: [...outputs, output] } }, output };
}

/** A plan without an output; a device that carried it does so no more, and its origins go too. */
export function withoutOutput(plan: Plan, id: string): Plan {
  const { program } = plan;
  const devices = (program.devices ?? []).map((device) => ({
    ...device,
    outputs: (device.outputs ?? []).filter((one) => one !== id),
  }));
  const origins = Object.entries(plan.origins).filter(([path]) => !path.startsWith(`program/outputs/${id}/`));
  return {
    ...plan,
    program: { ...program, outputs: program.outputs.filter((one) => one.id !== id), devices },
    origins: Object.fromEntries(origins),
  };
}
