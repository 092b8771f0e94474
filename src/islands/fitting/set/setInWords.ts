import type { KnotPlan } from '../../../core/index.ts';
import { formatLength, formatSpan, type LengthUnit, roughly } from '../../../core/units/length.ts';

/** Where the other end hangs once the one that is set hangs there: `Blade tip 12 cm lower.` */
export function otherEnd({ set, differenceMm }: KnotPlan['start'], units: LengthUnit): string {
  const other = set.end === 'tail' ? 'Blade tip' : 'Tail tip';
  const lowerMm = set.end === 'tail' ? differenceMm : -differenceMm;
  const off = roughly(Math.abs(lowerMm), units);
  return off === 0 ? `${other} level with it` : `${other} ${formatLength(off, units)} ${lowerMm > 0 ? 'lower' : 'higher'}`;
}

/** How the tie is laid on. */
export function startSeam({ startSeam: seam }: KnotPlan['properties']): string {
  return seam === 'in' ? 'Seam to the shirt.' : 'Seam outward.';
}

/** Where the blade tip should end, to whole centimetres or half inches: `40–46 cm`. */
export function tipSpan({ dropMm, sdMm }: KnotPlan['tip'], units: LengthUnit): string {
  const whole = (mm: number) => (units === 'cm' ? Math.round(mm / 10) * 10 : roughly(mm, units));
  return formatSpan(whole(dropMm - sdMm), whole(dropMm + sdMm), units);
}

/** The same start as it is read with the ends crossed below the button, for those who read it there. */
export function crossedReading({ set, readings }: KnotPlan['start'], gapMm: number, units: LengthUnit): string | undefined {
  if (gapMm === 0) return undefined;
  const drop = set.end === 'tail' ? readings.crossed.tailDropMm : readings.crossed.bladeDropMm;
  return `With the ends crossed ${formatLength(gapMm, units)} below the button, read ${formatLength(roughly(drop, units), units)}.`;
}
