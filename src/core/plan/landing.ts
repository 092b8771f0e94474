import type { FrontDrop } from '../body/frontDrop.ts';
import type { Calibration } from '../fitbook/calibration.ts';
import { normalCdf } from '../numeric/normal.ts';

export interface Landing {
  readonly dropMm: number;
  readonly sdMm: number;
  readonly inBandProbability: number;
}

/** How far a loop may be off its nominal length, and how well a hand repeats itself, mm. */
const loopSdMm = 5;
export const repeatabilitySdMm = 10;

/** The tip that is expected, how far it may miss, and how often that is within tolerance. */
export function landingAt(
  dropMm: number,
  takeUpMm: number,
  drop: FrontDrop,
  tolerance: { readonly aboveMm: number; readonly belowMm: number },
  { takeUp, hand, client }: Calibration,
): Landing {
  const sdMm = Math.hypot(client.sdMm ?? drop.sdMm, loopSdMm, takeUp.sd * takeUpMm, hand.sdMm, repeatabilitySdMm);
  const inBandProbability = normalCdf(tolerance.belowMm / sdMm) - normalCdf(-tolerance.aboveMm / sdMm);
  return { dropMm, sdMm, inBandProbability };
}
