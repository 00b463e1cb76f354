/** How the form of a kind of part is laid out: what matters first, the rest by theme, each folded. What is named nowhere comes last. */
export interface Layout {
  first: string[];
  themes: Record<string, string[]>;
}

const LAYOUTS: Record<string, Layout> = {
  Location: {
    first: ['latitudeDegrees', 'longitudeDegrees', 'elevationMetres', 'timeZone'],
    themes: { 'Clear air': ['turbidity'] },
  },
  BatteryBank: {
    first: ['name', 'chemistry', 'capacityAmpereHours', 'capacityHours', 'startStateOfCharge'],
    themes: {
      'Cells and voltages': ['cellsInSeries', 'lowestVolts', 'highestVolts'],
      'Where it stands': ['enclosure'],
      'Age and table': ['ageing', 'table'],
    },
  },
  ParallelBattery: {
    first: ['name', 'capacityShare', 'chargeOffset'],
    themes: { BMS: ['bms'], 'Cable and fuse': ['cable'], Age: ['ageing'] },
  },
  SolarArray: {
    first: ['name', 'peakWatts', 'tiltDegrees', 'azimuthDegrees', 'lossFraction'],
    themes: {
      Modules: ['string', 'powerPerKelvin', 'nominalCellCelsius'],
      'Horizon, snow and sky': ['horizon', 'snow', 'sky'],
    },
  },
  ChargeController: {
    first: ['name', 'arrays', 'maximumAmperes'],
    themes: {
      Device: ['kind', 'maximumInputVolts', 'efficiency', 'idleWatts', 'startsWithoutBattery'],
      'Cable and fuse': ['cable'],
    },
  },
  Load: {
    first: ['name', 'consumption', 'critical', 'feed'],
    themes: {
      Starting: ['surge', 'restart'],
      Use: ['use', 'tank', 'powerFactor', 'leg'],
      'Cable and fuse': ['cable'],
    },
  },
  SensePoint: {
    first: ['name', 'place', 'device', 'offsetVolts'],
    themes: { 'How finely it reads': ['resolutionVolts', 'sampleSeconds'] },
  },
  BatteryMonitor: {
    first: ['name', 'configuredAmpereHours', 'fullVolts', 'fullAmperes', 'fullSeconds'],
    themes: {
      'How it counts': ['chargeEfficiency', 'offsetAmperes', 'driftPerDay', 'unseen'],
      'What it tells': ['stepPercent', 'sampleSeconds'],
    },
  },
  Converter: {
    first: ['name', 'outputVolts', 'maximumAmperes'],
    themes: { Input: ['lowestInputVolts', 'restartInputVolts'], Losses: ['efficiency', 'idleWatts'] },
  },
  WaterTank: {
    first: ['name', 'litres', 'onCelsius', 'offCelsius'],
    themes: {
      'Losses and start': ['lossWattsPerKelvin', 'coldCelsius', 'startCelsius'],
      'Hot water drawn': ['draws'],
    },
  },
  Generator: {
    first: ['name', 'ratedWatts', 'legs', 'startSeconds', 'coolDownSeconds'],
    themes: {
      'Failing to start': ['failureFraction', 'retrySeconds', 'mostTries'],
      'Fuel and least load': ['leastLoadFraction', 'idleLitresPerHour', 'litresPerKilowattHour'],
      Frequency: ['frequency'],
    },
  },
  Feeder: {
    first: ['name', 'breakerAmperes', 'legs', 'exportWatts'],
    themes: {
      Prices: ['bands'],
      'What goes out': ['meter'],
      'Voltage, line and frequency': ['volts', 'legOhms', 'hertz'],
      Outages: ['outagesPerYear', 'meanOutageSeconds'],
    },
  },
  Radio: { first: ['name', 'factoryPassword'], themes: {} },
  Earthing: { first: ['inInstallation', 'inverter', 'bondedSources'], themes: {} },
  Inverter: {
    first: ['name', 'continuousWatts', 'continuousVoltAmperes', 'acVolts'],
    themes: {
      'Voltages it works at': ['window'],
      'Charger and transfer': ['charger', 'transfer'],
      'Several together': ['units', 'phases'],
      'Surge and heat': ['surgeFactor', 'surgeSeconds', 'deratingCelsius', 'deratingPerKelvin'],
      Losses: ['idleWatts', 'proportionalLoss', 'quadraticLoss', 'search'],
      'Cable and fuse': ['cable'],
    },
  },
  AcProgram: {
    first: ['source', 'charging', 'inputLimitAmperes'],
    themes: {
      'To AC and back': [
        'toAcVolts',
        'toBatteryVolts',
        'byStateOfCharge',
        'levelDelaySeconds',
        'bypassesOverload',
      ],
      'Alarm, cut-off and end of charge': ['cutOff', 'endOfCharge'],
      Windows: ['windows'],
      'Out to the grid': ['exportsSurplus', 'exportLimitWatts', 'exportLimitFraction'],
    },
  },
  DcSource: { first: ['name', 'byClock', 'profile', 'brakeVolts', 'releaseVolts'], themes: {} },
  AcCoupledArray: { first: ['maximumWatts', 'efficiency', 'meter'], themes: {} },
  ChargeProgram: {
    first: ['absorptionVolts', 'absorptionSeconds', 'floatVolts', 'rechargeVolts', 'rechargeDelaySeconds'],
    themes: { 'Further settings': ['details'] },
  },
};

/** Fields that no form shows: an id is not edited, batteries stand on the sketch, what a setting is of is the part itself. */
const HIDDEN = ['id', 'batteries', 'controller', 'array', 'inverter'];

/** The layout of a kind with these fields, none of them forgotten; a kind that chooses among several is chosen above them. */
export function layoutOf(schema: string, fields: string[]): Layout {
  const known = LAYOUTS[schema];
  if (!known) return { first: fields.filter((one) => !HIDDEN.includes(one) && one !== 'kind'), themes: {} };
  const placed = [...known.first, ...Object.values(known.themes).flat(), ...HIDDEN, 'kind'];
  const left = fields.filter((one) => !placed.includes(one));
  return left.length === 0 ? known : { ...known, themes: { ...known.themes, Further: left } };
}

/** All layouts, for the test that holds them to the schema. */
export const layouts = LAYOUTS;
