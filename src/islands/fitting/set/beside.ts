import type { NearLandmark } from '../../../core/index.ts';
import { formatLength, type LengthUnit, roughly } from '../../../core/units/length.ts';

/** `1.5 cm above the navel`; points of the body are known to a thumb's width only, so those are told as about. */
export function beside({ name, kind, offsetMm }: Pick<NearLandmark, 'name' | 'kind' | 'offsetMm'>, units: LengthUnit): string {
  const about = kind === 'body' ? 'about ' : '';
  const off = roughly(Math.abs(offsetMm), units);
  return off === 0
    ? `${about}level with the ${name}`
    : `${about}${formatLength(off, units)} ${offsetMm > 0 ? 'below' : 'above'} the ${name}`;
}
