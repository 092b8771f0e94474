import type { KnotShape } from '../tying/shape.ts';
import { type Collar, halfAngle } from './collar.ts';

/** A collar as far as it covers the tie's band. */
export interface CoveringCollar extends Collar {
  /** Height of the neckband at the button; `null` where it was never taken. */
  readonly standMm: number | null;
}

/** A neckband, and how far the leaf falls over it at the back, mm, where they were not taken. */
export const usualStandMm = 34;
export const leafFallMm = 45;

/** How steeply the band comes down to the knot, and how far up the stand it lies at the button. */
const bandSlope = 0.45;
const standShare = 0.6;
/** The fold of the leaf needs a little more than the band itself. */
const foldMm = 2;

export interface Hidden {
  /** What of the band shows on either side of the knot, mm; 0 where it is covered. */
  readonly besideMm: number;
  /** How far the leaf reaches below the band at the back and sides, mm; negative where the band looks out under it. */
  readonly aroundMm: number;
}

function standOf({ standMm }: CoveringCollar): number {
  return standMm ?? usualStandMm;
}

/** The band's lower edge in front, from the middle outward: y = from − slope · x, mm below the collar button. */
export function bandEdge(collar: CoveringCollar, bandMm: number): { readonly from: number; readonly slope: number } {
  return { from: bandMm - standOf(collar) * standShare, slope: bandSlope };
}

/**
 * What a collar leaves to be seen of the tie's band. In front, from the button, y down: the leaf's edge
 * y = (x − g/2) / tan φ crosses the band's lower edge y = w − 0.6·stand − 0.45·x at x*; what shows is x* less the knot's
 * half-width there. All round the leaf has to reach past stand and band. Priors, to be held against the eye.
 * `bandMm` is the tie's width where it lies around the neck, the narrower of its two arms.
 */
export function hiddenBy(collar: CoveringCollar, shape: KnotShape, bandMm: number): Hidden {
  const stand = standOf(collar);
  const tan = Math.tan(halfAngle(collar));
  const { from } = bandEdge(collar, bandMm);
  const x = (from + collar.tieSpaceMm / (2 * tan)) / (1 / tan + bandSlope);
  const y = Math.max(0, (x - collar.tieSpaceMm / 2) / tan);
  const halfKnot = (shape.topMm - ((shape.topMm - shape.bottomMm) * Math.min(y, shape.heightMm)) / shape.heightMm) / 2;
  return { besideMm: Math.max(0, x - halfKnot), aroundMm: leafFallMm - Math.max(stand, bandMm + foldMm) };
}
