import type { Peg } from '../lib/gauge/pegs';
import { placeOf } from '../lib/plan/planPath';
import { written } from '../lib/sentence/quantity';
import type { PlanEditor } from './planEditor.svelte';

/** Moves a level to a value, in the unit that the gauge shows it in; those of parts that are alike go with it. */
export function moveLevel(editor: PlanEditor, peg: Peg, value: number): void {
  const place = editor.plan && placeOf(editor.plan, peg.path);
  if (!place) return;
  const said = (one: unknown) => written(Number(one) * peg.shownTimes, peg.unit);
  editor.set(
    place,
    value / peg.shownTimes,
    (before, after) => `${peg.term} of ${peg.name} ${said(before)} → ${said(after)}`,
    peg.alike.map((one) => placeOf(editor.plan, one)).filter((one) => one !== undefined),
  );
}
