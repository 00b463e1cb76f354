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
  if (draw.kind === 'constantPower') return `${decimal(draw.watts)} W, constant power`;
  if (draw.kind === 'resistance') return `${decimal(draw.ohms)} Ω, resistive`;
  return 'imported profile';
}

/** What stands at a site, as readable facts. */
export function factsOf({ site, program }: Plan): Part[] {
  const battery = site.battery;
  const parts: Part[] = [
    {
      name: battery.name,
      kind: 'Battery',
      facts: [
        { name: 'chemistry', value: battery.chemistry === 'GEL' ? 'gel lead-acid' : 'by its own table' },
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
      kind: load.critical ? 'Load, critical' : 'Load',
      facts: [
        { name: 'draws', value: consumption(load), path: `site/loads/${load.id}/consumption` },
        { name: 'cable', value: cable(load.cable) },
      ],
    });
  }
  return parts;
}
