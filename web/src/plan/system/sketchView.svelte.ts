import type { Plan } from '../../lib/api/api';
import type { PlanEditor } from '../planEditor.svelte';
import { sideOf, stands } from './finding';
import { sketchOf } from './sketch';
import { treeOf, withoutPower } from './tree';

/** What is drawn: a plan as it is edited, in one column or wide, and what is chosen in it. */
interface Drawn {
  editor: PlanEditor;
  plan: Plan;
  narrow: boolean;
  /** Path of what is chosen. */
  path: string | undefined;
}

/** What the sketch shows of a plan: its parts, what is wrong with them, and what the chosen contact cuts off. */
export class SketchView {
  private readonly editor = $derived.by(() => this.of().editor);
  private readonly plan = $derived.by(() => this.of().plan);
  private readonly path = $derived.by(() => this.of().path);
  private readonly tree = $derived.by(() => treeOf(this.plan, this.editor.reading?.conductors));
  readonly sketch = $derived.by(() => sketchOf(this.tree, this.plan, this.of().narrow));
  private readonly paths = $derived.by(() => this.sketch.placed.map((one) => one.part.path));
  private readonly findings = $derived.by(() =>
    (this.editor.reading?.findings ?? []).filter((one) => one.dismissed === undefined),
  );
  /** Paths of parts with something wrong. */
  readonly wrong = $derived(this.paths.filter((path) => this.findings.some((one) => stands(one, path))));
  private readonly guesses = $derived.by(() =>
    Object.entries(this.plan.origins)
      .filter(([, origin]) => origin.kind === 'GUESS')
      .map(([path]) => path),
  );
  /** Paths of parts with a number that nobody has confirmed. */
  readonly guessed = $derived(
    this.paths.filter((own) => this.guesses.some((path) => path.startsWith(`${own}/`))),
  );
  /** The output whose contact is chosen. */
  readonly contact = $derived.by(() =>
    this.plan.program.outputs.find((one) => this.path === `program/outputs/${one.id}`),
  );
  readonly reading = $derived.by(() =>
    this.editor.reading?.outputs.find((one) => one.output === this.contact?.id),
  );
  /** What the chosen contact cuts off while it is open. */
  readonly cut = $derived.by(() => (this.contact ? withoutPower(this.tree, this.contact.id) : []));
  /** Whether it cuts off an inverter that loads go to AC from. */
  readonly cutsAc = $derived.by(
    () =>
      this.plan.site.inverter?.transfer !== undefined && this.cut.some((one) => one.path === 'site/inverter'),
  );
  /** Names of outputs that decide nothing then, for what feeds them is cut off. */
  readonly deciders = $derived.by(() =>
    this.plan.program.outputs
      .filter((one) => one.supply !== undefined && this.cut.some((part) => part.id === one.supply))
      .map((one) => one.name),
  );
  /** What is found at the chosen thing. */
  readonly here = $derived.by(() =>
    this.findings.filter((one) => this.path !== undefined && stands(one, this.path)),
  );
  /** The sheet comes from the other side than what it is about. */
  readonly side = $derived.by(() => sideOf(this.sketch, this.path));

  constructor(private readonly of: () => Drawn) {}
}
