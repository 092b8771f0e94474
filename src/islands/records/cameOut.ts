import type { FittingResult } from '../../contract/fitting.ts';
import { findings } from '../../core/fitbook/findings.ts';
import { missOf } from '../../core/fitbook/tying.ts';
import { formatLength, type LengthUnit } from '../../core/units/length.ts';

/** How a fitting came out: where its tip ended against the aim, whether that was right, and what else was found. */
export function cameOut(
  result: FittingResult,
  units: LengthUnit,
): { readonly tip: string; readonly within: boolean; readonly rest: string } {
  const { tries, findings: found, counts } = result;
  const miss = missOf(result);
  const rest = [tries > 1 ? `attempt ${tries}` : '', ...found.map((code) => findings[code].label), counts ? '' : 'not learnt from'];
  return {
    tip: miss ? tipInWords(miss.offMm, units) : '',
    within: miss?.within ?? true,
    rest: rest.filter(Boolean).join('; '),
  };
}

function tipInWords(offMm: number, units: LengthUnit): string {
  return Math.round(offMm) === 0 ? 'as aimed' : `${formatLength(Math.abs(offMm), units)} ${offMm > 0 ? 'below' : 'above'} the aim`;
}
