import type { KnotShape } from './shape.ts';

/** Millimetres from the collar button: x toward the wearer's own right, y down. */
export type FacePoint = readonly [xMm: number, yMm: number];

export interface Corners {
  readonly topLeft: FacePoint;
  readonly topRight: FacePoint;
  readonly bottomLeft: FacePoint;
  readonly bottomRight: FacePoint;
}

/** Share of the front's tilt by which the top edge tips. */
const tipOfTilt = 0.5;
const waist = 0.05;
const swell = 0.035;
const pointsASide = 8;

/** Where the knot's face has its corners, on the wearer's own left and right. The top edge tips with the front. */
export function cornersOf({ middleMm, bottomMm, heightMm, topMm, tiltDeg, leftFlankMm, rightFlankMm }: KnotShape): Corners {
  const tip = (topMm / 2) * Math.tan((tipOfTilt * tiltDeg * Math.PI) / 180);
  const left = middleMm / 2 + leftFlankMm;
  const right = middleMm / 2 + rightFlankMm;
  // The bottom stands under the top: a fuller flank is fuller below as well.
  const narrowed = bottomMm / topMm;
  return {
    topLeft: [-left, tip],
    topRight: [right, -tip],
    bottomLeft: [-left * narrowed, heightMm],
    bottomRight: [right * narrowed, heightMm],
  };
}

/**
 * The outline of the drawn-up knot as a closed polygon, mm, x to the wearer's right and y down from the button:
 * from the top left corner over the right ones and back. The top spans the middle and both flanks, the bottom and the height are the
 * shape's own; top and bottom swell a little, the sides are drawn in. Every drawing uses it.
 */
export function outlineOf(shape: KnotShape): FacePoint[] {
  return sidesOf(shape).flatMap(pointsAlong);
}

/** One side of the outline: a quadratic curve. */
export type OutlineSide = readonly [from: FacePoint, control: FacePoint, to: FacePoint];

/** The same outline as the four curves that it runs along: over the top, down the right, back along the bottom, up the left. */
export function sidesOf(shape: KnotShape): readonly [OutlineSide, OutlineSide, OutlineSide, OutlineSide] {
  const { topLeft, topRight, bottomLeft, bottomRight } = cornersOf(shape);
  const { topMm, heightMm } = shape;
  const out = swell * topMm;
  const inward = 0.6 * waist * topMm;
  const middleOf = (a: FacePoint, b: FacePoint): FacePoint => [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2];
  const right = middleOf(topRight, bottomRight);
  const left = middleOf(topLeft, bottomLeft);
  return [
    [topLeft, [(topLeft[0] + topRight[0]) / 2, -out], topRight],
    [topRight, [right[0] - inward, right[1]], bottomRight],
    [bottomRight, [0, heightMm + out], bottomLeft],
    [bottomLeft, [left[0] + inward, left[1]], topLeft],
  ];
}

/** Points along a side, its end left to the next. */
function pointsAlong([from, control, to]: OutlineSide): FacePoint[] {
  return Array.from({ length: pointsASide }, (_, i) => {
    const t = i / pointsASide;
    const along = (axis: 0 | 1) => (1 - t) ** 2 * from[axis] + 2 * t * (1 - t) * control[axis] + t ** 2 * to[axis];
    return [along(0), along(1)];
  });
}

/** Whether a point lies within a closed polygon (even-odd rule). */
export function isWithin([x, y]: FacePoint, polygon: readonly FacePoint[]): boolean {
  let within = false;
  polygon.forEach(([x1, y1], i) => {
    const [x2, y2] = polygon[(i + 1) % polygon.length] ?? [x1, y1];
    if (y1 > y !== y2 > y && x < ((x2 - x1) * (y - y1)) / (y2 - y1) + x1) within = !within;
  });
  return within;
}
