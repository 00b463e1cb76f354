import type { Cable, Load, Plan } from '../lib/api/api';
import { decimal, duration } from '../lib/sentence/quantity';

/** One fact of a site: what it is, its value with unit, and the path its origin is kept under. */
export interface Fact {
  name: string;
  value: string;
  path?: string;
}

/** Facts about one part. */
export interface Part {
  name: string;
  kind: string;
  facts: Fact[];
}

function cable(one: Cable): string {
  return one.measuredLoopOhms !== undefined
    ? `${decimal(one.measuredLoopOhms * 1000, 2)} mΩ out and back`
    : `${decimal(one.crossSectionSquareMillimetres ?? 0)} mm², ${decimal(one.oneWayMetres ?? 0)} m one way`;
}

function consumption(load: Load): string {
  const draw = load.consumption;
  switch (draw.kind) {
    case 'constantPower':
      return `${decimal(draw.watts)} W, constant power`;
    case 'constantCurrent':
      return `${decimal(draw.amperes)} A, constant current`;
    case 'resistance':
      return `${decimal(draw.ohms)} Ω, resistive`;
    case 'cycling':
      return `${decimal(draw.watts)} W, ${duration(draw.runSeconds)} running, ${duration(draw.restSeconds)} resting`;
    case 'scheduled':
      return `${draw.entries.map((one) => `${decimal(one.watts)} W`).join(', ')} by the clock`;
    case 'occupancy':
      return `${decimal(draw.watts)} W, ${decimal(draw.usesPerDay)} times a day for ${duration(draw.meanSeconds)}`;
    case 'importedProfile':
      return 'imported profile';
  }
}

const chemistries: Record<Plan['site']['battery']['chemistry'], string> = {
  FLOODED: 'flooded lead-acid',
  AGM: 'AGM lead-acid',
  GEL: 'gel lead-acid',
  LITHIUM_IRON_PHOSPHATE: 'lithium iron phosphate',
  NMC: 'lithium nickel manganese cobalt',
  USER_TABLE: 'by its own table',
};

/** The parts behind the bus: monitors, converters, the AC side, tanks. */
function furtherParts({ site, program }: Plan): Part[] {
  const parts: Part[] = [];
  for (const box of site.battery.batteries ?? []) {
    parts.push({
      name: box.name,
      kind: 'One of the batteries side by side',
      facts: [
        { name: 'share of capacity', value: `${decimal(box.capacityShare * 100, 1)} %` },
        { name: 'cable', value: cable(box.cable) },
        ...(box.bms
          ? [
              { name: 'BMS', value: `${decimal(box.bms.lowVolts)} V to ${decimal(box.bms.highVolts)} V` },
              {
                name: 'BMS currents',
                value: `${decimal(box.bms.chargeAmperes)} A in, ${decimal(box.bms.dischargeAmperes)} A out`,
              },
              { name: 'charges from', value: `${decimal(box.bms.chargeColdCelsius)} °C` },
            ]
          : []),
      ],
    });
  }
  for (const monitor of site.monitors ?? []) {
    parts.push({
      name: monitor.name,
      kind: 'Battery monitor',
      facts: [
        { name: 'set to', value: `${decimal(monitor.configuredAmpereHours)} Ah` },
        { name: 'counts charging', value: `${decimal(monitor.chargeEfficiency * 100)} %` },
        {
          name: 'full at',
          value: `${decimal(monitor.fullVolts)} V and ${decimal(monitor.fullAmperes)} A for ${duration(monitor.fullSeconds)}`,
        },
      ],
    });
  }
  for (const one of site.converters ?? []) {
    parts.push({
      name: one.name,
      kind: 'Converter',
      facts: [
        { name: 'gives', value: `${decimal(one.outputVolts)} V, ${decimal(one.maximumAmperes)} A` },
        { name: 'own draw', value: `${decimal(one.idleWatts)} W` },
      ],
    });
  }
  const inverter = site.inverter;
  if (inverter) {
    const charging = program.charging.find((one) => one.controller === inverter.id);
    parts.push({
      name: inverter.name,
      kind: 'Inverter',
      facts: [
        {
          name: 'carries',
          value: `${decimal(inverter.continuousWatts)} W, ${decimal(inverter.continuousVoltAmperes)} VA`,
        },
        { name: 'own draw', value: `${decimal(inverter.idleWatts)} W` },
        {
          name: 'stops',
          value: `${decimal(inverter.window.lowShutdownVolts)} V for ${duration(inverter.window.lowDelaySeconds)}`,
        },
        ...(charging ? [{ name: 'charges to', value: `${decimal(charging.absorptionVolts)} V` }] : []),
        ...(program.ac
          ? [{ name: 'takes from AC', value: `${decimal(program.ac.inputLimitAmperes)} A a leg` }]
          : []),
      ],
    });
  }
  for (const source of site.acSources ?? []) {
    parts.push(
      source.kind === 'generator'
        ? {
            name: source.name,
            kind: 'Generator',
            facts: [{ name: 'rated', value: `${decimal(source.ratedWatts)} W` }],
          }
        : {
            name: source.name,
            kind: 'Feeder',
            facts: [{ name: 'breaker', value: `${decimal(source.breakerAmperes)} A` }],
          },
    );
  }
  for (const tank of site.tanks ?? []) {
    parts.push({
      name: tank.name,
      kind: 'Hot-water tank',
      facts: [
        { name: 'holds', value: `${decimal(tank.litres)} l` },
        { name: 'thermostat', value: `${decimal(tank.onCelsius)} °C to ${decimal(tank.offCelsius)} °C` },
      ],
    });
  }
  return parts;
}

/** What stands at a site, as readable facts. */
export function factsOf(plan: Plan): Part[] {
  const { site, program } = plan;
  const battery = site.battery;
  const parts: Part[] = [
    {
      name: battery.name,
      kind: 'Battery',
      facts: [
        { name: 'chemistry', value: chemistries[battery.chemistry] },
        { name: 'cells in series', value: String(battery.cellsInSeries) },
        {
          name: 'capacity',
          value: `${decimal(battery.capacityAmpereHours)} Ah at ${decimal(battery.capacityHours)} h`,
          path: 'site/battery/capacityAmpereHours',
        },
        {
          name: 'maker’s limits',
          value: `${decimal(battery.lowestVolts)} V to ${decimal(battery.highestVolts)} V`,
          path: 'site/battery/lowestVolts',
        },
        {
          name: 'state of charge at start',
          value: `${decimal(battery.startStateOfCharge * 100)} %`,
          path: 'site/battery/startStateOfCharge',
        },
        ...(battery.ageing
          ? [
              {
                name: 'capacity left',
                value: `${decimal(battery.ageing.capacityFraction * 100)} % of the stated`,
                path: 'site/battery/ageing',
              },
            ]
          : []),
        { name: 'main cable', value: cable(site.mainCable), path: 'site/mainCable' },
      ],
    },
  ];
  for (const array of site.arrays) {
    const at = `site/arrays/${array.id}`;
    parts.push({
      name: array.name,
      kind: 'Array',
      facts: [
        { name: 'peak power', value: `${decimal(array.peakWatts)} W`, path: `${at}/peakWatts` },
        { name: 'tilt', value: `${decimal(array.tiltDegrees)}°` },
        { name: 'looks to', value: `${decimal(array.azimuthDegrees)}° from north` },
        { name: 'losses', value: `${decimal(array.lossFraction * 100)} %`, path: `${at}/lossFraction` },
      ],
    });
  }
  for (const controller of site.controllers) {
    const at = `site/controllers/${controller.id}`;
    const charging = program.charging.find((one) => one.controller === controller.id);
    parts.push({
      name: controller.name,
      kind: 'Charge controller',
      facts: [
        { name: 'largest current', value: `${decimal(controller.maximumAmperes)} A` },
        { name: 'own draw', value: `${decimal(controller.idleWatts)} W`, path: `${at}/idleWatts` },
        ...(charging
          ? [
              {
                name: 'absorption',
                value: `${decimal(charging.absorptionVolts)} V for ${duration(charging.absorptionSeconds)}`,
              },
              { name: 'float', value: `${decimal(charging.floatVolts)} V` },
              {
                name: 'recharge',
                value: `${decimal(charging.rechargeVolts)} V for ${duration(charging.rechargeDelaySeconds)}`,
              },
            ]
          : []),
      ],
    });
  }
  for (const load of site.loads) {
    parts.push({
      name: load.name,
      kind: load.use === 'DIVERSION' ? 'Surplus load' : load.critical ? 'Load, critical' : 'Load',
      facts: [
        { name: 'draws', value: consumption(load), path: `site/loads/${load.id}/consumption` },
        { name: 'cable', value: cable(load.cable) },
      ],
    });
  }
  return [...parts, ...furtherParts(plan)];
}
