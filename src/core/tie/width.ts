import { between } from '../numeric/piecewise.ts';
import { fabrics } from './fabrics.ts';
import type { Tie } from './tie.ts';

/** What remains of the measured thickness once the layers are drawn together. */
const compression = 0.62;

/** Thickness of the cloth inside a drawn-up knot, mm. */
export function compressedThickness(tie: Tie): number {
  return compression * tie.thicknessMm;
}

/**
 * Folded width at `xMm` from the blade's tip, mm: rising to the blade's width over half a
 * blade width, straight to the neck, straight to the tail, and down to the narrow tip.
 * Square-ended cloths keep their width to both ends. Outside the tie the width is 0.
 */
export function widthAt(tie: Tie, xMm: number): number {
  if (xMm < 0 || xMm > tie.lengthMm) return 0;
  const square = fabrics[tie.fabric].squareEnds;
  const bladeFrom = square ? 0 : tie.bladeMm / 2;
  const tailFrom = tie.lengthMm - (square ? 0 : tie.tailMm / 2);
  if (xMm < bladeFrom) return (tie.bladeMm * xMm) / bladeFrom;
  if (xMm <= tie.neckAtMm) return between(xMm, bladeFrom, tie.bladeMm, tie.neckAtMm, tie.neckMm);
  if (xMm <= tailFrom) return between(xMm, tie.neckAtMm, tie.neckMm, tailFrom, tie.tailMm);
  return (tie.tailMm * (tie.lengthMm - xMm)) / (tie.lengthMm - tailFrom);
}

/** Section of the drawn-up band at `xMm` from the blade's tip, mm². */
export function sectionAt(tie: Tie, xMm: number): number {
  return widthAt(tie, xMm) * compressedThickness(tie);
}
