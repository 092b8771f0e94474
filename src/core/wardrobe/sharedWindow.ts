import type { BuyingBrief, LengthRange } from './buyingBrief.ts';

/**
 * How much of one outfit's buying brief serves another outfit too: the share of the widths and
 * thicknesses that serve the first for which some length serves both, 0 to 1.
 */
export function sharedWindow(brief: BuyingBrief, other: BuyingBrief): number {
  const place = (cell: { readonly bladeMm: number; readonly thicknessMm: number }) => `${cell.bladeMm} ${cell.thicknessMm}`;
  const lengths = new Map(other.cells.map((cell) => [place(cell), cell.lengthMm]));
  const serving = brief.cells.filter(({ lengthMm }) => lengthMm !== undefined);
  const both = serving.filter((cell) => overlap(cell.lengthMm, lengths.get(place(cell))));
  return serving.length === 0 ? 0 : both.length / serving.length;
}

function overlap(one: LengthRange | undefined, other: LengthRange | undefined): boolean {
  return one !== undefined && other !== undefined && one.min <= other.max && other.min <= one.max;
}
