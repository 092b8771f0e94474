import { stepFaults } from '../../src/core/cloth/check/stepFaults.ts';
import { referenceSteps, referenceTie } from '../../src/core/cloth/reference.ts';
import { settle } from '../../src/core/cloth/steps/settle.ts';
import { enumerateKnots, formatKnot, type Knot, supposeTie } from '../../src/core/index.ts';
import { startFor } from '../../src/core/tying/start.ts';
import { windingOf } from '../../src/core/tying/winding.ts';

/** A classic tie, a slim thin one, and a thick knit with square ends. */
export const checkedTies = [
  referenceTie,
  supposeTie({ lengthMm: 1450, bladeMm: 60, neckMm: 28, neckAtMm: 830, tailMm: 38, thicknessMm: 2.4 }),
  supposeTie({ lengthMm: 1480, bladeMm: 70, neckMm: 40, neckAtMm: 820, tailMm: 60, thicknessMm: 4.2, fabric: 'knit' }),
] as const;

/** What was found in one step: nothing where it holds. */
export interface CheckedStep {
  readonly step: string;
  readonly faults: readonly string[];
}

/** A step of a knot in one of the ties, from the start that lands its tip. */
export function checkStep(knot: Knot, tie: (typeof checkedTies)[number], done: number): CheckedStep {
  const { loopMm, ...usual } = referenceSteps(knot);
  const { tailMm } = startFor(windingOf(knot), tie, { loopMm, dropMm: 440 });
  const { mesh } = settle({ ...usual, loopMm, tie, standingMm: tailMm }, done);
  return { step: `${formatKnot(knot)}, ${tie.bladeMm} mm, ${done}`, faults: stepFaults(mesh, knot, done) };
}

/** Checks every step of every `of`th classic knot to nine moves in each of the ties, the tuck included. */
export function checkSteps(part: number, of: number, told: (checked: CheckedStep) => void): void {
  enumerateKnots(9).forEach((knot, i) => {
    if (i % of !== part) return;
    for (const tie of checkedTies) for (let done = 0; done <= knot.moves.length + 1; done++) told(checkStep(knot, tie, done));
  });
}
