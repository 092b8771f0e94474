import type { Knot } from '../knot/knot.ts';
import { type KnownOfTie, supposeTie } from '../tie/tie.ts';
import { tieFrom } from '../tie/turned.ts';
import { bundleOf } from './bundle.ts';
import { type KnotShape, shapeOf } from './shape.ts';
import { stanceOf } from './stance.ts';
import { windingOf } from './winding.ts';

/** How the tie hangs before the first move, mm. */
export interface Hang {
  /** Length around the neck: collar size and the allowance for the collar's fold. */
  readonly loopMm: number;
  /** Tail tip below the collar button, the ends crossed at the button and the loop closed. */
  readonly tailMm: number;
  /** Accepted, and without effect: where the ends are crossed changes how a start is read, not what the knot takes up. */
  readonly crossingGapMm?: number;
}

/**
 * Cloth the knot takes up, mm, and its shape once drawn up. An engineering model: the
 * bands pack into ellipses around the three spokes, and each move goes half round one.
 * What is not known of the tie is supposed.
 */
export function takeUp(knot: Knot, tie: KnownOfTie, hang: Hang): { takeUpMm: number; shape: KnotShape } {
  const winding = windingOf(knot);
  const whole = supposeTie(tie);
  const { loopMm, tailMm } = hang;
  const standingMm = winding.active === 'blade' ? tailMm : whole.lengthMm - loopMm - tailMm;
  const bundle = bundleOf(winding, tieFrom(winding.active, whole), { loopMm, standingMm });
  return { takeUpMm: bundle.takeUpMm, shape: shapeOf(bundle, stanceOf(knot)) };
}
