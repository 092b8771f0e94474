import type { Bundle } from './bundle.ts';

/** Outer measures of the drawn-up knot, mm; sides are the wearer's own. `lean` is a share of the top width. */
export interface KnotShape {
  readonly topMm: number;
  readonly middleMm: number;
  readonly bottomMm: number;
  readonly heightMm: number;
  readonly leftFlankMm: number;
  readonly rightFlankMm: number;
  readonly lean: number;
}

const frontFlatness = 2.2;
const bottomShare = 0.75;
const heightShare = 0.85;

/** The knot's outer measures from what is packed around each spoke. Lean is the least certain of them. */
export function shapeOf({ sections, bare, facadeMm }: Bundle): KnotShape {
  const middleMm = diameter(sections.narrowEnd * frontFlatness);
  const leftFlankMm = diameter(sections.narrowArm) - diameter(bare.narrowArm);
  const rightFlankMm = diameter(sections.bladeArm) - diameter(bare.bladeArm);
  const topMm = middleMm + leftFlankMm + rightFlankMm;
  return {
    topMm,
    middleMm,
    bottomMm: bottomShare * middleMm,
    heightMm: heightShare * facadeMm,
    leftFlankMm,
    rightFlankMm,
    lean: topMm > 0 ? Math.abs(leftFlankMm - rightFlankMm) / topMm : 0,
  };
}

function diameter(area: number): number {
  return 2 * Math.sqrt(area / Math.PI);
}
