import type { Bezier, Place } from '../numeric/bezier.ts';
import type { LapelKind } from './jackets.ts';
import type { FrontEdge } from './opening.ts';

/** A place along the roll, as a share of its way to the button, and off it toward the sleeve as a share of the lapel's width. */
type OnRoll = readonly [along: number, off: number];

/** How a kind of lapel is cut, laid off from the roll. Proportions of ours. */
interface LapelCut {
  /** Where the gorge begins at the roll, and where collar and lapel part. */
  readonly gorge: OnRoll;
  readonly parts: OnRoll;
  /** The end of the jacket's collar, beside the notch. */
  readonly collarEnd: OnRoll;
  /** The lapel's upper corner: the notch's lower one, or the peak. */
  readonly corner: OnRoll;
}

/** The lapel is broadest so far down its roll, just below the gorge; from there it narrows to the button with a slight belly. */
export const broadestAt = 0.2;
const belly: readonly OnRoll[] = [
  [broadestAt, 1],
  [0.42, 0.93],
  [0.74, 0.52],
  [1, 0],
];
const cuts: Readonly<Record<Exclude<LapelKind, 'shawl'>, LapelCut>> = {
  notch: { gorge: [-0.015, 0.12], parts: [0.135, 0.58], collarEnd: [0.075, 0.84], corner: [broadestAt - 0.015, 1] },
  peak: { gorge: [-0.015, 0.12], parts: [0.165, 0.62], collarEnd: [0.115, 0.74], corner: [0.125, 1.05] },
};
/** A shawl has no gorge: one curve goes from the collar to the button. */
const shawl = {
  shoulder: [0.04, 0.8],
  broadest: [broadestAt, 1],
  belly: [
    [broadestAt, 1],
    [0.45, 1.02],
    [0.76, 0.6],
    [1, 0],
  ],
} as const satisfies Readonly<Record<string, OnRoll | readonly OnRoll[]>>;

/** One side's lapel and collar from the front, mm from the collar button: x to its own side, y down. */
export interface LapelLines {
  readonly roll: Bezier;
  /** The upper edge from the roll outward; of a shawl, from beside the collar. */
  readonly upper: readonly Place[];
  /** From the upper edge's end around the broadest place and down to the button. */
  readonly outer: readonly Bezier[];
  /** The jacket's own collar; a shawl has none. */
  readonly collar: JacketCollarLines | undefined;
}

/** A jacket's own collar from the front, between gorge and shoulder line. */
export interface JacketCollarLines {
  /** Along the shirt's collar, from the gorge up to the shoulder line. */
  readonly inner: Bezier;
  /** From the gorge's end along the notch and out to the shoulder. */
  readonly outer: readonly [Bezier, Bezier];
  /** Over the shoulder line, from the outer edge to the inner one. */
  readonly over: Bezier;
}

/** Where a jacket's collar leaves the shirt's, on the shoulder line. */
function besideCollar(neckHalfMm: number): Place {
  return [neckHalfMm + 15, -40];
}

/** A place on a front, as a share of the way along the roll and off it toward the sleeve, mm. */
export function onFront({ top, button }: FrontEdge): (along: number, offMm: number) => Place {
  const [dx, dy] = [button[0] - top[0], button[1] - top[1]];
  const length = Math.hypot(dx, dy);
  return (along, offMm) => [top[0] + dx * along + (dy / length) * offMm, top[1] + dy * along - (dx / length) * offMm];
}

/** Lapel and collar of one side, around a neck of this half width, mm. */
export function lapelLines(kind: LapelKind, lapelMm: number, front: FrontEdge, neckHalfMm: number): LapelLines {
  const beside = besideCollar(neckHalfMm);
  const on = onFront(front);
  const at = ([along, off]: OnRoll): Place => on(along, off * lapelMm);
  const roll: Bezier = [on(0, 0), on(1, 0)];
  if (kind === 'shawl') {
    const around: Bezier = [beside, [beside[0] + 26, beside[1] + 14], at(shawl.shoulder), at(shawl.broadest)];
    return { roll, upper: [on(0, 0), beside], outer: [around, shawl.belly.map(at)], collar: undefined };
  }
  const { gorge, parts, collarEnd, corner } = cuts[kind];
  return {
    roll,
    upper: [at(gorge), at(parts), at(corner)],
    outer: [[at(corner), at([broadestAt, 1])], belly.map(at)],
    collar: collarOf(at(gorge), at(parts), at(collarEnd), front, beside),
  };
}

function collarOf(gorge: Place, parts: Place, end: Place, { top }: FrontEdge, [bx, by]: Place): JacketCollarLines {
  const shoulder: Place = [bx + 20, by + 4];
  const nape: Place = [bx - 4, by - 12];
  return {
    inner: [gorge, [top[0], top[1] - 10], [bx - 2, by + 4], nape],
    outer: [
      [parts, end],
      [end, [end[0] - 6, end[1] - 14], [bx + 24, by + 18], shoulder],
    ],
    over: [shoulder, [bx + 8, by - 16], nape],
  };
}
