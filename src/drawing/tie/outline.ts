import type { Tie } from '../../core/index.ts';
import { widthAt } from '../../core/tie/width.ts';
import type { Pt } from '../geometry/path.ts';

const stepMm = 12;

/** Half-widths of the tie between two places along it, blade's tip at 0, ends and corners included. */
export function halfWidths(tie: Tie, fromMm: number, toMm: number): { readonly atMm: number; readonly halfMm: number }[] {
  const corners = [tie.bladeMm / 2, tie.neckAtMm, tie.lengthMm - tie.tailMm / 2].filter((at) => at > fromMm && at < toMm);
  const count = Math.max(1, Math.ceil((toMm - fromMm) / stepMm));
  const even = Array.from({ length: count + 1 }, (_, i) => fromMm + ((toMm - fromMm) * i) / count);
  return [...new Set([...even, ...corners])].sort((a, b) => a - b).map((atMm) => ({ atMm, halfMm: widthAt(tie, atMm) / 2 }));
}

export type TieEnd = 'blade' | 'tail';

/** Outline of an end hanging straight down at `x`: `lengthMm` of it, with its tip at `tipY`. */
export function hangingEnd(tie: Tie, end: TieEnd, lengthMm: number, x: number, tipY: number): Pt[] {
  return bothSides(stationsAbove(tie, end, lengthMm, tipY), () => x);
}

/** Where an end comes out of a knot: the middle beside the wearer's own, and the width. */
export interface Foot {
  readonly asideMm: number;
  readonly widthMm: number;
}

/** An end that comes out of its knot aside hangs in the middle from so far below it on, mm. */
export const straightFromMm = 66;

/**
 * An end below a knot: as wide as the knot's foot where it comes out, spreading to its own
 * width, tapering to the tip at `tipY`. `knotY` is the knot's bottom edge. A picture that ends at `shownToY` has
 * it to there.
 */
export function endBelowKnot(tie: Tie, end: TieEnd, { asideMm, widthMm }: Foot, knotY: number, tipY: number, shownToY = tipY): Pt[] {
  const spread = (y: number) => widthMm / 2 + (y - knotY) * spreadPerMm;
  const hidden = Math.max(0, tipY - Math.max(knotY, shownToY));
  const stations = stationsAbove(tie, end, tipY - knotY, tipY, hidden).map(({ y, halfMm }) => ({
    y,
    halfMm: softMinimum(halfMm, spread(y)),
  }));
  return bothSides(stations, (y) => asideMm * Math.max(0, 1 - (y - knotY) / straightFromMm));
}

interface Station {
  readonly y: number;
  readonly halfMm: number;
}

/** The last `lengthMm` of an end, from its tip up, without the `hiddenMm` next to the tip. */
function stationsAbove(tie: Tie, end: TieEnd, lengthMm: number, tipY: number, hiddenMm = 0): Station[] {
  const fromTip = (atMm: number) => (end === 'blade' ? atMm : tie.lengthMm - atMm);
  const [from, to] = end === 'blade' ? [hiddenMm, lengthMm] : [tie.lengthMm - lengthMm, tie.lengthMm - hiddenMm];
  return halfWidths(tie, from, to).map(({ atMm, halfMm }) => ({ halfMm, y: tipY - fromTip(atMm) }));
}

const spreadPerMm = 0.22;
const softnessMm = 3;

function softMinimum(a: number, b: number): number {
  const least = (a + b - Math.hypot(a - b, softnessMm)) / 2;
  return Math.max(0, Math.min(a, b) === 0 ? 0 : least);
}

function bothSides(stations: readonly Station[], middleAt: (y: number) => number): Pt[] {
  const right = stations.map(({ halfMm, y }): Pt => [middleAt(y) + halfMm, y]);
  const left = stations.map(({ halfMm, y }): Pt => [middleAt(y) - halfMm, y]);
  return [...right, ...left.reverse()];
}
