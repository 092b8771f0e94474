import { between } from '../numeric/piecewise.ts';
import { fabrics } from './fabrics.ts';
import type { Tie, WidthAt } from './tie.ts';

/** Thickness of the cloth inside a drawn-up knot, mm. */
export function compressedThickness(tie: Tie): number {
  return fabrics[tie.fabric].compression * tie.thicknessMm;
}

/** Whether the ends keep their width to the tip: as the tie says, or as its cloth usually has it. */
export function hasSquareEnds(tie: Tie): boolean {
  return tie.ends === undefined ? fabrics[tie.fabric].squareEnds : tie.ends === 'square';
}

/**
 * Folded width at `xMm` from the blade's tip, mm: rising to the blade's width over half a
 * blade width, straight to the neck, straight to the tail, and down to the narrow tip; through
 * the measured widths where there are some. Square ends keep their width to the tips. Outside
 * the tie the width is 0.
 */
export function widthAt(tie: Tie, xMm: number): number {
  if (xMm < 0 || xMm > tie.lengthMm) return 0;
  const square = hasSquareEnds(tie);
  const bladeFrom = square ? 0 : tie.bladeMm / 2;
  const tailFrom = tie.lengthMm - (square ? 0 : tie.tailMm / 2);
  if (xMm < bladeFrom) return (tie.bladeMm * xMm) / bladeFrom;
  if (xMm > tailFrom) return (tie.tailMm * (tie.lengthMm - xMm)) / (tie.lengthMm - tailFrom);
  if (tie.profile && tie.profile.length > 0) return along(stationsOf(tie, tie.profile), xMm);
  return xMm <= tie.neckAtMm
    ? between(xMm, bladeFrom, tie.bladeMm, tie.neckAtMm, tie.neckMm)
    : between(xMm, tie.neckAtMm, tie.neckMm, tailFrom, tie.tailMm);
}

/** Put together once a tie, since widths are asked for thousands of times. */
const stations = new WeakMap<Tie, readonly WidthAt[]>();

/**
 * The widths a measured tie runs through, blade to tail. The neck is one of them unless it
 * was measured over: a measured width within reach of it stands in its place.
 */
function stationsOf(tie: Tie, profile: readonly WidthAt[]): readonly WidthAt[] {
  const kept = stations.get(tie);
  if (kept) return kept;
  const square = hasSquareEnds(tie);
  const from = square ? 0 : tie.bladeMm / 2;
  const to = tie.lengthMm - (square ? 0 : tie.tailMm / 2);
  const measured = profile.filter(({ atMm }) => atMm > from && atMm < to);
  const neck = measured.some(({ atMm }) => Math.abs(atMm - tie.neckAtMm) < neckReachMm)
    ? []
    : [{ atMm: tie.neckAtMm, widthMm: tie.neckMm }];
  const all = [{ atMm: from, widthMm: tie.bladeMm }, ...measured, ...neck, { atMm: to, widthMm: tie.tailMm }].toSorted(
    (a, b) => a.atMm - b.atMm,
  );
  stations.set(tie, all);
  return all;
}

const neckReachMm = 5;

function along(all: readonly WidthAt[], xMm: number): number {
  const after = all.findIndex(({ atMm }) => atMm >= xMm);
  const right = all[after] ?? all[all.length - 1];
  const left = all[after - 1] ?? right;
  return left && right ? between(xMm, left.atMm, left.widthMm, right.atMm, right.widthMm) : 0;
}

/**
 * How wide a tie lies around the neck, mm: the narrower of its two arms, since the broader one folds. `tailMm` is the tail's
 * tip below the collar button with the loop closed.
 */
export function bandWidth(tie: Tie, loopMm: number, tailMm: number): number {
  return Math.min(widthAt(tie, tie.lengthMm - loopMm - tailMm), widthAt(tie, tie.lengthMm - tailMm));
}
