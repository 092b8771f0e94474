import { neckHalfWidth } from '../body/neck.ts';
import { type Collar, halfAngle } from '../collar/collar.ts';
import { between } from '../numeric/piecewise.ts';
import type { Tie } from '../tie/tie.ts';
import { widthAt } from '../tie/width.ts';
import type { JacketWorn } from './jackets.ts';

/** What of a jacket decides the opening it leaves. */
export interface JacketFronts {
  readonly worn: JacketWorn;
  /** Collar button down to the button that closes the jacket, mm; `null` to suppose it from the belt. */
  readonly buttoningMm: number | null;
}

/** Where one front's edge runs: x from the middle, y below the collar button, mm. */
export interface FrontEdge {
  readonly top: readonly [x: number, y: number];
  readonly button: readonly [x: number, y: number];
}

/** The jacket's collar hugs the shirt's: its edge comes out from under the leaf this far beside the neck. */
const besideNeckMm = 12;
const topMm = -22;
/** Usual height of the closing button, as a share of the way to the belt. */
const buttoningShare = 0.74;
/** How far an open front hangs off the middle at the button. */
const hangsOpenMm = 62;

/** Where a waistcoat closes, below the collar button: a usual share of the way to the belt, mm. */
export function waistcoatClosesAt(beltMm: number): number {
  return 0.5 * beltMm;
}

/** Collar button down to the button that closes the jacket: as measured, or the usual share of the way to the belt. */
export function buttoningPoint({ buttoningMm }: JacketFronts, beltMm: number): number {
  return buttoningMm ?? buttoningShare * beltMm;
}

/** The front's edge from beside the collar down to the closing button, straight as a pressed roll is. */
export function frontEdge(jacket: JacketFronts, neckMm: number, beltMm: number): FrontEdge {
  return {
    top: [neckHalfWidth(neckMm) + besideNeckMm, topMm],
    button: [jacket.worn === 'closed' ? 0 : hangsOpenMm, buttoningPoint(jacket, beltMm)],
  };
}

/** Half the opening between the fronts at depth `yMm`, mm. */
export function openingAt({ top, button }: FrontEdge, yMm: number): number {
  return Math.max(0, between(Math.min(yMm, button[1]), top[1], top[0], button[1], button[0]));
}

/** Nearer than this, points and fronts meet: cloth gives as much. */
export const pointsMeetMm = 3;

/** How far the collar's points reach under the jacket's fronts, mm; negative where they lie open on the shirt. */
export function pointsUnderFronts(collar: Collar, edge: FrontEdge): number {
  const depth = collar.collarPointMm * Math.cos(halfAngle(collar));
  return collar.collarSpreadMm / 2 - openingAt(edge, depth);
}

/** How much of a buttoned jacket's opening the tie fills halfway down it, 0 to 1 and beyond; `dropMm` is where the tip ends. */
export function filledBy(edge: FrontEdge, tie: Tie, dropMm: number): number {
  const y = edge.button[1] / 2;
  return widthAt(tie, Math.max(0, dropMm - y)) / (2 * openingAt(edge, y));
}
