import { type Fineness, formatLength, formatSpan, type LengthUnit } from '../units/length.ts';
import type { LengthRange } from './buyingBrief.ts';

/** A range that was found; where it only ends because the search does, that end is told as open: `10.8 cm or more`. */
export function rangeInWords({ min, max }: LengthRange, searched: LengthRange, units: LengthUnit, fineness?: Fineness): string {
  const [openBelow, openAbove] = [min <= searched.min, max >= searched.max];
  if (openBelow && openAbove) return 'any';
  if (openBelow) return `${formatLength(max, units, fineness)} or less`;
  return openAbove ? `${formatLength(min, units, fineness)} or more` : formatSpan(min, max, units, fineness);
}
