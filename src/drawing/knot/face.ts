import type { KnotShape } from '../../core/index.ts';
import { curve, type Pt } from '../geometry/path.ts';
import { type View, wearersLeft } from '../geometry/view.ts';

/** The face of a drawn-up knot as outlines in mm, its top edge at the collar button. */
export interface KnotFace {
  readonly outline: string;
  /** The last band across the front. */
  readonly facade: string;
  /** Upper edge of that band, under which the inner turns show. */
  readonly facadeEdge: string;
  /** Where the inner turns lie over the arms of the loop, one line a turn. */
  readonly turns: readonly string[];
  readonly corners: { readonly topLeft: Pt; readonly topRight: Pt; readonly bottomLeft: Pt; readonly bottomRight: Pt };
}

/** How far the top edge tips for a unit of lean, as a share of the top width. */
const tipOfLean = 0.55;
const facadeStarts = 0.2;
const waist = 0.05;

/**
 * Draws exactly the core's measures: the top spans the middle and both flanks, the bottom
 * and the height are its own. The larger flank sits higher, which is the lean one sees.
 */
export function knotFace(shape: KnotShape, view: View, turnsOverArms: number): KnotFace {
  const { middleMm, bottomMm, heightMm, topMm } = shape;
  const sign = wearersLeft(view);
  const [flankOnLeft, flankOnRight] = sign === 1 ? [shape.rightFlankMm, shape.leftFlankMm] : [shape.leftFlankMm, shape.rightFlankMm];
  const left = -(middleMm / 2 + flankOnLeft);
  const right = middleMm / 2 + flankOnRight;
  const tip = (tipOfLean * shape.lean * topMm * Math.sign(flankOnRight - flankOnLeft)) / 2;
  const topLeft: Pt = [left, tip];
  const topRight: Pt = [right, -tip];
  const bottomLeft: Pt = [-bottomMm / 2, heightMm];
  const bottomRight: Pt = [bottomMm / 2, heightMm];
  const swell = 0.035 * topMm;
  const inset = waist * topMm;

  const side = (from: Pt, to: Pt, towards: number): Pt => [(from[0] + to[0]) / 2 + towards * inset, (from[1] + to[1]) / 2];
  const rightWaist = side(topRight, bottomRight, -0.6);
  const leftWaist = side(topLeft, bottomLeft, 0.6);

  const outline = curve`M${topLeft[0]} ${topLeft[1]} Q${(left + right) / 2} ${-swell} ${topRight[0]} ${topRight[1]} Q${rightWaist[0]} ${rightWaist[1]} ${bottomRight[0]} ${bottomRight[1]} Q0 ${heightMm + swell} ${bottomLeft[0]} ${bottomLeft[1]} Q${leftWaist[0]} ${leftWaist[1]} ${topLeft[0]} ${topLeft[1]} Z`;

  const at = (from: Pt, to: Pt, share: number): Pt => [from[0] + (to[0] - from[0]) * share, from[1] + (to[1] - from[1]) * share];
  // The band's upper edge: lower on the side where the smaller flank is.
  const slant = Math.max(-0.16, Math.min(0.16, shape.lean * 1.2)) * Math.sign(flankOnRight - flankOnLeft);
  const edgeLeft = at(topLeft, bottomLeft, facadeStarts + slant);
  const edgeRight = at(topRight, bottomRight, facadeStarts - slant);
  const edgeMiddle: Pt = [(edgeLeft[0] + edgeRight[0]) / 2, (edgeLeft[1] + edgeRight[1]) / 2 - 0.07 * heightMm];
  const facadeEdge = curve`M${edgeLeft[0] - 1} ${edgeLeft[1]} Q${edgeMiddle[0]} ${edgeMiddle[1]} ${edgeRight[0] + 1} ${edgeRight[1]}`;
  const facade = curve`M${edgeLeft[0] - 1} ${edgeLeft[1]} Q${edgeMiddle[0]} ${edgeMiddle[1]} ${edgeRight[0] + 1} ${edgeRight[1]} L${bottomRight[0] + 1} ${heightMm + swell} L${bottomLeft[0] - 1} ${heightMm + swell} Z`;

  return {
    outline,
    facade,
    facadeEdge,
    turns: turnLines(topLeft, topRight, edgeMiddle, turnsOverArms),
    corners: { topLeft, topRight, bottomLeft, bottomRight },
  };
}

/** Inner turns lean in from both shoulders toward the middle of the band; the first lies outermost. */
function turnLines(topLeft: Pt, topRight: Pt, middle: Pt, count: number): string[] {
  return Array.from({ length: count }, (_, i) => {
    const fromLeft = i % 2 === 0;
    const corner = fromLeft ? topLeft : topRight;
    const inward = (fromLeft ? 1 : -1) * (topRight[0] - topLeft[0]) * (0.16 + 0.13 * Math.floor(i / 2));
    const startX = corner[0] + inward;
    return curve`M${startX} ${corner[1] - 2} Q${(startX + middle[0]) / 2} ${middle[1] * 0.35} ${middle[0] + inward * 0.55} ${middle[1] + 3}`;
  });
}

/** Turns of the active end that lie over the arms of the loop: the moves through the throat, but for the last. */
export function turnsOverArms(word: string): number {
  return Math.max(0, (word.match(/C[io]/g)?.length ?? 0) - 1);
}
