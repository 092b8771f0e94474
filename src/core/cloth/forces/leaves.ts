import { type Collar, halfAngle } from '../../collar/collar.ts';
import type { ClothMesh } from '../mesh/mesh.ts';
import { chestRound, shirtZMm } from './body.ts';

/** The collar that knots are drawn up in where none is named: a semi-spread one. */
const usualCollar: Collar = { collarPointMm: 75, collarSpreadMm: 110, tieSpaceMm: 8 };
/** The leaves' edges start so far above the button, and lie so far off the shirt at the tips and more half-way down. */
const edgeStartsMm = 14;
const tipOffShirtMm = 5;
const leafRoomMm = 14;
/** Linen gives: a step takes back so little of what stands out, and over so much from its edge inward it gives all the way. */
const leafStiffness = 0.02;
const mostOutMm = 4;
const softEdgeMm = 6;

/** The leaves of a buttoned collar that is turned down, and how they press back what lies under them. */
export class Leaves {
  private readonly tipsBelowMm: number;

  constructor(private readonly collar: Collar = usualCollar) {
    this.tipsBelowMm = collar.collarPointMm * Math.cos(halfAngle(collar));
  }

  /** How far from the middle a leaf's edge is at a height, mm: all the way below the tips, and beyond it by less than nothing above the collar. */
  edgeMm(y: number): number {
    if (y < -this.tipsBelowMm) return Number.POSITIVE_INFINITY;
    const { collarSpreadMm, tieSpaceMm } = this.collar;
    return (tieSpaceMm + this.downAt(y) * (collarSpreadMm - tieSpaceMm)) / 2;
  }

  /** Presses what lies under the leaves back below them. `near` grows from 0 to 1, as they are laid over. */
  press({ position: p, count }: ClothMesh, near: number): void {
    if (near <= 0) return;
    for (let i = 0; i < 3 * count; i += 3) {
      const y = p[i + 1];
      if (y > edgeStartsMm) continue;
      const x = Math.abs(p[i]);
      const covered = x - this.edgeMm(y);
      if (covered <= 0) continue;
      const leaf = shirtZMm + tipOffShirtMm + leafRoomMm * Math.sin(Math.PI * this.downAt(y)) - (x * x) / chestRound;
      const out = Math.min(mostOutMm, p[i + 2] - leaf);
      if (out > 0) p[i + 2] -= near * leafStiffness * out * Math.min(1, covered / softEdgeMm);
    }
  }

  /** From 0 where the leaves' edges start to 1 at their tips. */
  private downAt(y: number): number {
    return (edgeStartsMm - y) / (edgeStartsMm + this.tipsBelowMm);
  }
}
