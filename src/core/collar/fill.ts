import type { KnotShape } from '../tying/shape.ts';
import { type Collar, halfAngle } from './collar.ts';

export interface CollarFill {
  /** Share of the collar's front edge that the knot covers. */
  readonly fill: number;
  /** Depth below the button at which the knot's sides leave the collar's edges, mm; a drawing ends it at the knot's height. */
  readonly meetsAtMm: number;
}

/**
 * Where the knot's narrowing sides meet the opening edges. The opening is
 * g + 2y·tan φ wide at depth y, the knot top − (top − bottom)·y/height.
 */
export function collarFill(collar: Collar, shape: KnotShape): CollarFill {
  const phi = halfAngle(collar);
  const closing = 2 * Math.tan(phi) + (shape.topMm - shape.bottomMm) / shape.heightMm;
  const meets = (shape.topMm - collar.tieSpaceMm) / closing;
  // Not cut off at the knot's height: a knot that swamps its collar would then grow for nothing.
  const meetsAtMm = Math.max(meets, 0);
  return { fill: meetsAtMm / (collar.collarPointMm * Math.cos(phi)), meetsAtMm };
}
