import type { Gauge, Plan } from '../api/api';
import { fixed, stepped } from '../sentence/quantity';
import { pegsOf, spread, type Peg, type Unit } from './pegs';

/** What a gauge is given to show. */
export interface Shown {
  gauge?: Gauge;
  plan: Plan;
  unit: Unit;
  celsius: number;
  large: boolean;
  ruler: 'cell' | '12';
  /** Takes a level that was moved; absent where nothing may be changed. */
  move?: (peg: Peg, value: number) => void;
}

const TOP = 20;

/** Where everything on a gauge stands, which peg is looked at, and one that is being dragged. */
export class GaugeView {
  /** How wide the place is that it has. */
  across = $state(0);
  chosen = $state<string>();
  // While a peg is dragged the axis stays; else it would run away under the pointer.
  private held = $state<{ low: number; high: number }>();
  private dragged = $state<{ path: string; y: number; value: number }>();

  constructor(private readonly shown: () => Shown) {}

  readonly top = TOP;
  readonly width = $derived.by(() => (this.shown().large ? Math.max(520, this.across) : 148));
  /** Least distance of two labels. */
  readonly least = $derived.by(() => (this.shown().large ? 24 : 17));
  readonly levels = $derived.by(() => {
    const { gauge, plan, unit, celsius } = this.shown();
    return pegsOf(gauge, plan, unit, celsius);
  });
  readonly falling = $derived(this.levels.pegs.filter((peg) => peg.acts === 'FALLING'));
  readonly rising = $derived(this.levels.pegs.filter((peg) => peg.acts !== 'FALLING'));
  readonly height = $derived.by(() =>
    Math.max(
      this.shown().large ? 560 : 620,
      40 + this.least * Math.max(this.falling.length + this.labelled.length, this.rising.length),
    ),
  );
  readonly bottom = $derived(this.height - 20);
  readonly axis = $derived.by(() => (this.shown().large ? Math.round(this.width * 0.44) : this.width / 2));
  readonly walls = $derived.by(() =>
    (this.shown().gauge?.walls ?? []).filter((wall) => wall.unit === this.shown().unit),
  );
  private readonly all = $derived([
    ...this.levels.pegs.map((peg) => peg.stands),
    ...this.walls.map((wall) => wall.value),
  ]);
  private readonly span = $derived(Math.max(...this.all) - Math.min(...this.all) || 1);
  readonly low = $derived.by(
    () => this.held?.low ?? (this.shown().unit === '%' ? 0 : Math.min(...this.all) - this.span * 0.06),
  );
  readonly high = $derived.by(
    () => this.held?.high ?? (this.shown().unit === '%' ? 100 : Math.max(...this.all) + this.span * 0.06),
  );
  readonly labelled = $derived.by(() => (this.shown().large ? this.walls : []));
  /** Beside the names of the walls the levels that act when falling have theirs: all of one column. */
  private readonly leftAt = $derived.by(() =>
    this.spreadOf(
      [
        ...this.falling.map((peg) => this.y(peg.stands)),
        ...this.labelled.map((wall) => this.y(wall.value) + (wall.lower ? 9 : -9)),
      ],
      this.labelled.length > 0 ? 12 : 0,
    ),
  );
  readonly fallingAt = $derived.by(() => this.leftAt.slice(0, this.falling.length));
  readonly labelAt = $derived.by(() => this.leftAt.slice(this.falling.length).map((y) => y + 4));
  readonly risingAt = $derived.by(() => this.spreadOf(this.rising.map((peg) => this.y(peg.stands))));
  readonly step = $derived.by(() => (this.shown().unit === 'V' ? 0.1 : 1));
  private readonly bigStep = $derived.by(() => (this.shown().unit === 'V' ? 0.5 : 5));
  readonly most = $derived.by(() => ({ V: 1000, '%': 100, '°C': 90 })[this.shown().unit]);
  readonly lowest = $derived.by(() => (this.shown().unit === '°C' ? -50 : 0));
  readonly digits = $derived.by(() => (this.shown().unit === 'V' ? 2 : 0));
  readonly toRuler = $derived.by(() => {
    const { gauge, ruler } = this.shown();
    return (ruler === 'cell' ? 1 : (gauge?.cellsOf12Volts ?? 6)) / (gauge?.cellsInSeries ?? 6);
  });
  /** The level under which the sag of a load is shown. */
  readonly shadowed = $derived(
    this.levels.pegs.find((peg) => peg.path === this.chosen && peg.acts === 'FALLING'),
  );

  y(value: number): number {
    return this.bottom - ((value - this.low) / (this.high - this.low)) * (this.bottom - TOP);
  }

  private spreadOf(wanted: number[], beyond = 0): number[] {
    return spread(wanted, this.least, TOP - beyond, this.bottom + beyond);
  }

  shape(peg: Peg, x: number): string {
    const at = this.y(peg.stands);
    const r = this.shown().large ? 9 : 6;
    if (peg.acts === 'FALLING') return `M${x - r} ${at - r + 1}h${2 * r}l${-r} ${2 * r - 2}z`;
    if (peg.acts === 'RISING') return `M${x - r} ${at + r - 1}h${2 * r}l${-r} ${2 - 2 * r}z`;
    return `M${x - r} ${at - 3}h${2 * r}v6h${-2 * r}z`;
  }

  /** Of whom it is, as far as there is room, and whether nobody has confirmed it. */
  named(peg: Peg): string {
    const guess = this.shown().plan.origins[peg.path]?.kind === 'GUESS' ? ' ?' : '';
    const room = (peg.acts === 'FALLING' ? this.axis : this.width - this.axis - 60) - 52 - 50;
    const most = Math.floor(room / 7.2) - peg.term.length - 3;
    if (most < 3) return guess;
    const name = peg.name.length > most ? `${peg.name.slice(0, Math.max(1, most - 1))}…` : peg.name;
    return ` · ${name}${guess}`;
  }

  told(peg: Peg): string {
    return `${fixed(peg.stands, this.digits)} ${this.shown().unit}`;
  }

  keys(event: KeyboardEvent, peg: Peg) {
    const direction = { ArrowUp: 1, ArrowRight: 1, ArrowDown: -1, ArrowLeft: -1 }[event.key];
    if (!direction || event.ctrlKey || event.metaKey || event.altKey) return;
    event.preventDefault();
    const by = direction * (event.shiftKey ? this.bigStep : this.step);
    this.shown().move?.(peg, stepped(peg.value, by, this.lowest, this.most));
  }

  grab(event: PointerEvent, peg: Peg) {
    this.chosen = peg.path;
    if (!this.shown().move || event.button !== 0) return;
    this.held = { low: this.low, high: this.high };
    this.dragged = { path: peg.path, y: event.clientY, value: peg.value };
    (event.currentTarget as Element).setPointerCapture(event.pointerId);
  }

  /** By how far the pointer has gone, so that a peg can be taken by its label too. */
  drag(event: PointerEvent, peg: Peg, drawing?: SVGSVGElement) {
    const move = this.shown().move;
    if (this.dragged?.path !== peg.path || !drawing || !move) return;
    const perPixel =
      (this.height / drawing.getBoundingClientRect().height) * ((this.high - this.low) / (this.bottom - TOP));
    const value = this.dragged.value + (this.dragged.y - event.clientY) * perPixel;
    const kept = stepped(Math.round(value / this.step) * this.step, 0, this.lowest, this.most);
    if (kept !== peg.value) move(peg, kept);
  }

  release() {
    this.dragged = undefined;
    this.held = undefined;
  }
}
