import { neckHalfWidth } from '../../core/body/neck.ts';
import { type Collar, halfAngle } from '../../core/collar/collar.ts';
import { curve, type Pt } from '../geometry/path.ts';

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

/** The fold stands so far above the button at the side of the neck, and so far outside the neck. */
const foldY = -58;
const besideNeckMm = 7;
/** The leaf rolls over the fold and stands out so far beside the neck. */
const rollMm = 17;
const stitchMm = 4;

/** Leaves with their true opening: tip to tip, point length and the space at the button as measured. */
export function collarLeaves(collar: Collar, neckMm: number): CollarDrawing {
  const depth = collar.collarPointMm * Math.cos(halfAngle(collar));
  const half = neckHalfWidth(neckMm);
  const tip: Pt = [collar.collarSpreadMm / 2, depth];
  const drawn = { button: collar.tieSpaceMm / 2, tip, half };
  const [back, top] = [half + besideNeckMm, foldY - 13];
  return {
    leaves: [leaf(drawn, -1), leaf(drawn, 1)],
    stitching: [stitching(drawn, -1), stitching(drawn, 1)],
    inside: `${curve`M${-back} ${foldY} C${-half * 0.8} ${top} ${half * 0.8} ${top} ${back} ${foldY}`} ${foldDown(drawn, 1)} ${curve`L${-drawn.button} 0`} ${foldUp(drawn, -1)} Z`,
    tips: [[-tip[0], tip[1]], tip],
    pointDepthMm: depth,
    neckHalfMm: half,
    foldY,
  };
}

interface Drawn {
  /** From the middle to the leaf's edge at the button. */
  readonly button: number;
  readonly tip: Pt;
  readonly half: number;
}

/** Where the lower edge leaves the picture, around the side of the neck. */
function outerOf({ half, tip }: Drawn): Pt {
  return [Math.max(half + rollMm, tip[0] + 6), -13];
}

function leaf(drawn: Drawn, side: 1 | -1): string {
  const { button, tip, half } = drawn;
  const outer = outerOf(drawn);
  const sag = sagOf(tip, outer);
  const x = (value: number) => side * value;
  const fold = half + besideNeckMm;
  // From the button the straight front edge to the point, the lower edge around the neck, over the roll, down the fold.
  return `${curve`M${x(button)} 0 L${x(tip[0])} ${tip[1]} Q${x(sag[0])} ${sag[1]} ${x(outer[0])} ${outer[1]} C${x(outer[0] + 2)} ${outer[1] - 22} ${x(fold + 8)} ${foldY - 4} ${x(fold)} ${foldY}`} ${foldDown(drawn, side)} Z`;
}

/** Along the fold, from the side of the neck down to the button. */
function foldDown({ button, half }: Drawn, side: 1 | -1): string {
  const x = (value: number) => side * value;
  return curve`C${x(half + besideNeckMm - 5)} ${foldY + 3} ${x(half * 0.62)} -24 ${x(button + half * 0.18)} -6 Q${x(button + 3)} -2 ${x(button)} 0`;
}

/** The same fold the other way. */
function foldUp({ button, half }: Drawn, side: 1 | -1): string {
  const x = (value: number) => side * value;
  return curve`Q${x(button + 3)} -2 ${x(button + half * 0.18)} -6 C${x(half * 0.62)} -24 ${x(half + besideNeckMm - 5)} ${foldY + 3} ${x(half + besideNeckMm)} ${foldY}`;
}

/** The lower edge hangs a little below the straight line. */
function sagOf(tip: Pt, outer: Pt): Pt {
  return [tip[0] + (outer[0] - tip[0]) * 0.5, tip[1] + (outer[1] - tip[1]) * 0.5 + 4];
}

/** A line of stitching along front and lower edge. */
function stitching(drawn: Drawn, side: 1 | -1): string {
  const { button, tip } = drawn;
  const outer = outerOf(drawn);
  const along = unit([tip[0] - button, tip[1]]);
  const lower = unit([outer[0] - tip[0], outer[1] - tip[1]]);
  // Into the leaf from either edge; where both lines meet, the corner.
  const inFront: Pt = [along[1], -along[0]];
  const inLower: Pt = [lower[1], -lower[0]];
  const meets = stitchMm / Math.max(0.3, 1 + inFront[0] * inLower[0] + inFront[1] * inLower[1]);
  const corner: Pt = [tip[0] + (inFront[0] + inLower[0]) * meets, tip[1] + (inFront[1] + inLower[1]) * meets];
  const [from, to]: readonly [Pt, Pt] = [
    [button + along[0] * 3 + inFront[0] * stitchMm, along[1] * 3 + inFront[1] * stitchMm],
    [outer[0] + inLower[0] * stitchMm, outer[1] + inLower[1] * stitchMm],
  ];
  const sag = sagOf(corner, to);
  const x = (value: number) => side * value;
  return curve`M${x(from[0])} ${from[1]} L${x(corner[0])} ${corner[1]} Q${x(sag[0])} ${sag[1]} ${x(to[0])} ${to[1]}`;
}

function unit([x, y]: Pt): Pt {
  const length = Math.hypot(x, y) || 1;
  return [x / length, y / length];
}
