import type { KnotPlan } from '../../../core/index.ts';
import { formatSpan, type LengthUnit, roughly } from '../../../core/units/length.ts';

/** How the tie is laid on. */
export function startSeam({ startSeam: seam }: KnotPlan['properties']): string {
  return seam === 'in' ? 'Seam to the shirt.' : 'Seam outward.';
}

/** Where the blade tip should end, to whole centimetres or half inches: `40–46 cm`. */
export function tipSpan({ dropMm, sdMm }: Pick<KnotPlan['tip'], 'dropMm' | 'sdMm'>, units: LengthUnit): string {
  const whole = (mm: number) => (units === 'cm' ? Math.round(mm / 10) * 10 : roughly(mm, units));
  return formatSpan(whole(dropMm - sdMm), whole(dropMm + sdMm), units);
}
