import type { Knot } from '../knot/knot.ts';
import { supposeTie } from '../tie/tie.ts';
import { startFor } from '../tying/start.ts';
import { windingOf } from '../tying/winding.ts';
import type { TyingRequest } from './simulate.ts';

/** The tie that the ready meshes are tied with: a classic width, of medium thickness. */
export const referenceTie = supposeTie({ lengthMm: 1470, bladeMm: 85, neckMm: 34, neckAtMm: 840, tailMm: 48, thicknessMm: 3.2 });
const loopMm = 420;
const standingMm = 350;

/** A knot tied as all ready meshes are. */
export function referenceTying(knot: Knot): TyingRequest {
  return { knot, tie: referenceTie, loopMm, standingMm, dimple: 'off-centre', seed: 0 };
}

/** Where a tip is aimed at on the wearer of a usual height, mm below the collar button. */
const usualDropMm = 440;

/** The tying that all ready steps are of: from the start that lands the tip of that tie. */
export function referenceSteps(knot: Knot): TyingRequest {
  const { tailMm } = startFor(windingOf(knot), referenceTie, { loopMm, dropMm: usualDropMm });
  return { ...referenceTying(knot), standingMm: knot.active === 'blade' ? tailMm : usualDropMm };
}
