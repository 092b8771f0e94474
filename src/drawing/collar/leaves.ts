import { neckHalfWidth } from '../../core/body/neck.ts';
import type { Collar } from '../../core/collar/collar.ts';
import { besideNeckMm, type CollarWorn, collarWorn, foldUpMm, napeUpMm } from '../../core/collar/worn.ts';
import { along, back, curve, type Pt } from '../geometry/path.ts';

/** The turned-down collar as buttoned: both leaves, their stitching and what is seen inside, in mm. */
export interface CollarDrawing {
  readonly leaves: readonly [string, string];
  readonly stitching: readonly [string, string];
  /** The back of the collar, seen beside the neck. */
  readonly inside: string;
  readonly tips: readonly [Pt, Pt];
  /** Depth of the points below the button. */
  readonly pointDepthMm: number;
  readonly neckHalfMm: number;
  readonly foldY: number;
}

const stitchMm = 4;

/** Leaves with their true opening: tip to tip, point length and the space at the button as measured. */
export function collarLeaves(collar: Collar, neckMm: number): CollarDrawing {
  const half = neckHalfWidth(neckMm);
  const worn = collarWorn(collar, half);
  const { tip, fold, button } = worn;
  const [side, top] = [half + besideNeckMm, -foldUpMm - napeUpMm];
  return {
    leaves: [leaf(worn, -1), leaf(worn, 1)],
    stitching: [stitching(worn, -1), stitching(worn, 1)],
    inside: `${curve`M${-side} ${-foldUpMm} C${-half * 0.8} ${top} ${half * 0.8} ${top} ${side} ${-foldUpMm}`} ${along(back(fold))} ${curve`L${-button[0]} 0`} ${along(fold, -1)} Z`,
    tips: [[-tip[0], tip[1]], tip],
    pointDepthMm: tip[1],
    neckHalfMm: half,
    foldY: -foldUpMm,
  };
}

/** From the button the straight front edge to the point, the lower edge around the neck, over the roll, down the fold. */
function leaf({ button, tip, edge, roll, fold }: CollarWorn, side: 1 | -1): string {
  return `${curve`M${side * button[0]} 0`} ${along([[button, tip], edge, roll, ...back(fold)], side)} Z`;
}

/** Inside the front and lower edge. */
function stitching({ button: [button], tip, edge }: CollarWorn, side: 1 | -1): string {
  const outer = edge.at(-1) ?? tip;
  const front = unit([tip[0] - button, tip[1]]);
  const lower = unit([outer[0] - tip[0], outer[1] - tip[1]]);
  // Into the leaf from either edge; where both lines meet, the corner.
  const inFront: Pt = [front[1], -front[0]];
  const inLower: Pt = [lower[1], -lower[0]];
  const meets = stitchMm / Math.max(0.3, 1 + inFront[0] * inLower[0] + inFront[1] * inLower[1]);
  const corner: Pt = [tip[0] + (inFront[0] + inLower[0]) * meets, tip[1] + (inFront[1] + inLower[1]) * meets];
  const from: Pt = [button + front[0] * 3 + inFront[0] * stitchMm, front[1] * 3 + inFront[1] * stitchMm];
  const to: Pt = [outer[0] + inLower[0] * stitchMm, outer[1] + inLower[1] * stitchMm];
  const sag: Pt = [(corner[0] + to[0]) / 2, (corner[1] + to[1]) / 2 + stitchMm];
  return `${curve`M${side * from[0]} ${from[1]}`} ${along(
    [
      [from, corner],
      [corner, sag, to],
    ],
    side,
  )}`;
}

function unit([x, y]: Pt): Pt {
  const length = Math.hypot(x, y) || 1;
  return [x / length, y / length];
}
