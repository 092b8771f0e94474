import type { Bezier, Place } from '../numeric/bezier.ts';
import { type Collar, halfAngle } from './collar.ts';

/**
 * The lines of one leaf of a buttoned collar that is turned down, as seen from the front: mm from the collar button, x to
 * its own side, y down. Figure, close-up and the knot that can be turned are all made from them.
 */
export interface CollarWorn {
  /** The leaf's edge at the button, and its point. */
  readonly button: Place;
  readonly tip: Place;
  /** Along the fold, from the button up to the side of the neck. */
  readonly fold: readonly [Bezier, Bezier];
  /** Along the lower edge, from the point until it goes around the side of the neck. */
  readonly edge: Bezier;
  /** Over the roll, from there up to the fold. */
  readonly roll: Bezier;
}

/** The fold stands so far above the button at the side of the neck, and so far outside the neck. */
export const foldUpMm = 58;
export const besideNeckMm = 7;
/** At the nape it stands higher by so much. */
export const napeUpMm = 13;
/** The leaf rolls over the fold and stands out so far beside the neck, where its lower edge lies so far above the button. */
const rollMm = 17;
const edgeUpMm = 13;
const smooth = 0.3;
/** The lower edge hangs so much below the straight line. */
const sagMm = 4;

/** `neckHalfMm` is half of the neck's width from the front. Proportions of ours where nobody measures. */
export function collarWorn(collar: Collar, neckHalfMm: number): CollarWorn {
  const tip: Place = [collar.collarSpreadMm / 2, collar.collarPointMm * Math.cos(halfAngle(collar))];
  const button: Place = [collar.tieSpaceMm / 2, 0];
  const side: Place = [neckHalfMm + besideNeckMm, -foldUpMm];
  const outer: Place = [Math.max(neckHalfMm + rollMm, tip[0] + 6), -edgeUpMm];
  const beside: Place = [button[0] + neckHalfMm * 0.18, -6];
  const climbs: Place = [neckHalfMm * 0.62, -24];
  // Without a corner where both curves meet.
  const leaves: Place = [beside[0] - (climbs[0] - beside[0]) * smooth, beside[1] - (climbs[1] - beside[1]) * smooth];
  return {
    button,
    tip,
    fold: [
      [button, leaves, beside],
      [beside, climbs, [side[0] - 5, side[1] + 3], side],
    ],
    edge: [tip, [(tip[0] + outer[0]) / 2, (tip[1] + outer[1]) / 2 + sagMm], outer],
    roll: [outer, [outer[0] + 2, outer[1] - 22], [side[0] + 8, side[1] - 4], side],
  };
}
