import type { FrontDrop } from '../body/frontDrop.ts';
import type { Calibration } from '../fitbook/calibration.ts';
import { normalCdf } from '../numeric/normal.ts';

export interface Landing {
  readonly dropMm: number;
  readonly sdMm: number;
  readonly inBandProbability: number;
}

/** How far a loop may be off its nominal length, and how well a hand repeats itself, mm. */
export const loopSdMm = 5;
export const repeatabilitySdMm = 10;

/** Of what the uncertainty of a landing is made up, in the order in which it can be narrowed. */
export const landingParts = {
  drop: { label: 'collar button to belt', narrowedBy: 'a tape narrows it' },
  takeUp: { label: 'what the knot takes up', narrowedBy: 'each tying of this tie narrows it' },
  loop: { label: 'the neck loop', narrowedBy: 'a measured collar keeps it there' },
  hand: { label: 'whoever ties', narrowedBy: 'each fitting narrows it' },
  tying: { label: 'one tying and the next', narrowedBy: 'it stays' },
} as const;

export type LandingPart = keyof typeof landingParts;

/** Each part as one standard deviation, mm. */
export function landingPartsOf(
  takeUpMm: number,
  drop: FrontDrop,
  { takeUp, hand, client }: Calibration,
): Readonly<Record<LandingPart, number>> {
  return {
    drop: client.sdMm ?? drop.sdMm,
    // What the take-up adds once all that moves every tip alike is known: both were learnt from the same tyings.
    takeUp: Math.sqrt(Math.max(0, (takeUp.sd * takeUpMm) ** 2 - 2 * takeUpMm * (takeUp.along?.offsetMm ?? 0))),
    loop: loopSdMm,
    hand: hand.sdMm,
    tying: repeatabilitySdMm,
  };
}

/** The tip that is expected, how far it may miss, and how often that is within tolerance; `offMm` where it is lower than aimed at. */
export function landingAt(
  dropMm: number,
  takeUpMm: number,
  drop: FrontDrop,
  tolerance: Tolerance,
  calibration: Calibration,
  offMm = 0,
): Landing {
  const { drop: byDrop, takeUp, loop, hand, tying } = landingPartsOf(takeUpMm, drop, calibration);
  const sdMm = Math.hypot(byDrop, loop, takeUp, hand, tying);
  return { dropMm, sdMm, inBandProbability: inBand(sdMm, tolerance, offMm) };
}

/** Around the place aimed at, mm. */
export interface Tolerance {
  readonly aboveMm: number;
  readonly belowMm: number;
}

/** The same around the place a knot's own tip is planned for, which ends that come out level move within it. */
export function toleranceAround(tip: Pick<Landing, 'dropMm'>, drop: FrontDrop, aim: Tolerance & { readonly offsetMm: number }): Tolerance {
  const offMm = tip.dropMm - drop.meanMm - aim.offsetMm;
  return { aboveMm: aim.aboveMm + offMm, belowMm: aim.belowMm - offMm };
}

/** How often a tip that may miss by so much ends within tolerance; `offMm` lower than aimed at on average. */
export function inBand(sdMm: number, { aboveMm, belowMm }: Tolerance, offMm = 0): number {
  return normalCdf((belowMm - offMm) / sdMm) - normalCdf((-aboveMm - offMm) / sdMm);
}
