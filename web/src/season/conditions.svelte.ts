import { dayWritten } from '../lib/sentence/days';
import { instant, written } from '../lib/sentence/quantity';
import type { ByHand, Climate, Plan, RunInputs, WeatherChoice } from '../lib/api/api';

/** Kinds of weather that can be chosen; a file's id stands for itself. */
export const WEATHERS = [
  ['PLACE', 'the place’s climate'],
  ['CLEAR', 'clear days'],
  ['MIXED', 'mixed days'],
  ['DULL', 'dull days'],
] as const;

/** When a run begins, how long it is, in what weather, and under what other than the site tells. */
export class Conditions {
  from = $state(instant().slice(0, 10));
  days = $state(14);
  /** One of {@link WEATHERS} or the id of a weather file. */
  weather = $state('PLACE');
  weatherNumber = $state(1);
  meanCelsius = $state(5);
  /** The place's months where they are set; otherwise its latitude suggests them. */
  climate = $state.raw<Climate>();
  /** Capacity left of what the site tells (%). */
  capacityPercent = $state(100);
  /** Resistance against what the site tells (×). */
  resistance = $state(1);
  /** Consumption against what the site tells (%). */
  loadPercent = $state(100);
  /** State of charge to begin with (%); absent for what the site tells. */
  startPercent = $state<number>();
  /** What somebody does by hand meanwhile. */
  byHand = $state.raw<ByHand[]>([]);

  get choice(): WeatherChoice {
    if (this.weather === 'PLACE') return { place: this.climate ? { climate: this.climate } : {} };
    if (this.weather === 'CLEAR' || this.weather === 'MIXED' || this.weather === 'DULL') {
      return { days: this.weather, meanCelsius: this.meanCelsius };
    }
    return { file: this.weather };
  }

  /** Whether something is other than the site tells. */
  get differs() {
    return (
      this.capacityPercent !== 100 ||
      this.resistance !== 1 ||
      this.loadPercent !== 100 ||
      this.startPercent !== undefined ||
      this.byHand.length > 0
    );
  }

  /** In one line, as it would be said. */
  says(files: { id: string; name: string }[] = []): string {
    const days =
      this.days >= 1000
        ? `${Math.round(this.days / 365)} years`
        : `${this.days} ${this.days === 1 ? 'day' : 'days'}`;
    return `${days} from ${dayWritten(this.from)}, ${this.saysOtherwise(files)}`;
  }

  /** The same of another run on the same days: weather, battery and load. */
  saysOtherwise(files: { id: string; name: string }[] = []): string {
    const file = files.find((one) => one.id === this.weather);
    const weather = WEATHERS.find(([kind]) => kind === this.weather)?.[1] ?? `file ${file?.name ?? ''}`;
    const mean = ['CLEAR', 'MIXED', 'DULL'].includes(this.weather)
      ? ` at ${written(this.meanCelsius, '°C')}`
      : '';
    const others = [
      ...(this.weather === 'PLACE' && this.climate ? ['months as set here'] : []),
      ...(this.capacityPercent === 100 ? [] : [`${this.capacityPercent} % of the capacity`]),
      ...(this.resistance === 1 ? [] : [`${this.resistance} × the resistance`]),
      ...(this.loadPercent === 100 ? [] : [`${this.loadPercent} % of the consumption`]),
      ...(this.startPercent === undefined ? [] : [`begun at ${this.startPercent} % charge`]),
      ...(this.byHand.length === 0
        ? []
        : [`${this.byHand.length} ${this.byHand.length === 1 ? 'thing' : 'things'} done by hand`]),
    ];
    const rest = this.differs ? others : [...others, 'battery as it is'];
    return [`${weather}${mean}`, `weather no. ${this.weatherNumber}`, ...rest].join(', ');
  }

  /** All that a run of a plan is made from. */
  inputs(plan: Plan): RunInputs {
    const aged = this.capacityPercent !== 100 || this.resistance !== 1;
    return {
      plan,
      from: this.from,
      days: this.days,
      weather: this.choice,
      weatherNumber: this.weatherNumber,
      ...(this.differs
        ? {
            circumstances: {
              ...(aged
                ? {
                    ageing: {
                      capacityFraction: this.capacityPercent / 100,
                      resistanceFactor: this.resistance,
                    },
                  }
                : {}),
              ...(this.loadPercent === 100 ? {} : { loadFactor: this.loadPercent / 100 }),
              ...(this.startPercent === undefined ? {} : { startStateOfCharge: this.startPercent / 100 }),
              byHand: this.byHand,
            },
          }
        : {}),
    };
  }

  /** Asks for what a run was made from. */
  take({ from, days, weather, weatherNumber, circumstances }: RunInputs) {
    this.from = from;
    this.days = days;
    this.weatherNumber = weatherNumber;
    this.weather = weather.file ?? weather.days ?? 'PLACE';
    this.meanCelsius = weather.meanCelsius ?? this.meanCelsius;
    this.climate = weather.place?.climate;
    this.capacityPercent = Math.round((circumstances?.ageing?.capacityFraction ?? 1) * 100);
    this.resistance = circumstances?.ageing?.resistanceFactor ?? 1;
    this.loadPercent = Math.round((circumstances?.loadFactor ?? 1) * 100);
    const start = circumstances?.startStateOfCharge;
    this.startPercent = start === undefined ? undefined : Math.round(start * 100);
    this.byHand = circumstances?.byHand ?? [];
  }
}
