import { neckHalfWidth } from '../../core/body/neck.ts';
import { type Collar, halfAngle } from '../../core/collar/collar.ts';
import { curve, type Pt, round } from '../geometry/path.ts';

/** The turned-down collar as buttoned: both leaves and what is seen inside, in mm. */
export interface CollarDrawing {
  readonly leaves: readonly [string, string];
  readonly inside: string;
  readonly tips: readonly [Pt, Pt];
  /** Depth of the points below the button. */
  readonly pointDepthMm: number;
  readonly neckHalfMm: number;
  readonly foldY: number;
}

const neckRise = 46;

/** Leaves with their true opening: tip to tip, point length and the space at the button as measured. */
export function collarLeaves(collar: Collar, neckMm: number): CollarDrawing {
  const phi = halfAngle(collar);
  const depth = collar.collarPointMm * Math.cos(phi);
  const half = neckHalfWidth(neckMm);
  const foldY = -neckRise;
  const tip: Pt = [collar.collarSpreadMm / 2, depth];
  return {
    leaves: [leaf(collar, tip, half, -1), leaf(collar, tip, half, 1)],
    inside: curve`M${-half - 6} ${foldY + 4} C${-half * 0.6} ${foldY - 14} ${half * 0.6} ${foldY - 14} ${half + 6} ${foldY + 4} C${half * 0.7} ${-6} ${10} ${2} 0 3 C${-10} ${2} ${-half * 0.7} ${-6} ${-half - 6} ${foldY + 4} Z`,
    tips: [[-tip[0], tip[1]], tip],
    pointDepthMm: depth,
    neckHalfMm: half,
    foldY,
  };
}

function leaf(collar: Collar, [tipX, tipY]: Pt, half: number, side: 1 | -1): string {
  const button = collar.tieSpaceMm / 2;
  const fold: Pt = [half + 6, -neckRise + 4];
  const outer: Pt = [half + 30, -6];
  const x = (value: number) => round(side * value);
  const y = round;
  // Button to point is the straight front edge; from the point the lower edge runs back to the shoulder.
  return [
    `M${x(button)} ${y(0)}`,
    `L${x(tipX)} ${y(tipY)}`,
    `Q${x(tipX + (outer[0] - tipX) * 0.62)} ${y(tipY + (outer[1] - tipY) * 0.28)} ${x(outer[0])} ${y(outer[1])}`,
    `Q${x(outer[0] - 8)} ${y(fold[1] + 4)} ${x(fold[0])} ${y(fold[1])}`,
    `C${x(half * 0.82)} ${y(-22)} ${x(button + 16)} ${y(-5)} ${x(button)} ${y(0)}`,
    'Z',
  ].join(' ');
}
