import type { FrontDrop } from '../body/frontDrop.ts';
import { normalCdf } from '../numeric/normal.ts';

export interface Landing {
  readonly dropMm: number;
  readonly sdMm: number;
  readonly inBandProbability: number;
}

/** How far a loop may be off its nominal length, and how well a hand repeats itself, mm. */
const loopSdMm = 5;
const repeatabilitySdMm = 10;

/** How far the take-up may be off before any tying was recorded, as a share of it. */
const takeUpShareSd = 0.1;

/** The tip that is expected, how far it may miss, and how often that is within tolerance. */
export function landingAt(
  dropMm: number,
  takeUpMm: number,
  drop: FrontDrop,
  tolerance: { readonly aboveMm: number; readonly belowMm: number },
): Landing {
  const sdMm = Math.hypot(drop.sdMm, loopSdMm, takeUpShareSd * takeUpMm, repeatabilitySdMm);
  const inBandProbability = normalCdf(tolerance.belowMm / sdMm) - normalCdf(-tolerance.aboveMm / sdMm);
  return { dropMm, sdMm, inBandProbability };
}
