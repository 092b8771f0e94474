import { parseKnot } from '../knot/parse.ts';
import type { Tie } from '../tie/tie.ts';
import { takeUp } from '../tying/takeUp.ts';
import { usualPriors } from './effects.ts';
import { covarianceOf, type Known, reckon } from './known.ts';
import { shareMix } from './learn.ts';

/** A knot tied once around a known loop, and where both tips then hung below the knot’s button. Lengths in mm. */
export interface OnStand {
  readonly loopMm: number;
  readonly tipMm: number;
  readonly tailMm: number;
}

export interface StandSeen {
  /** The cloth the knot took up: what is left of the length. */
  readonly takenUpMm: number;
  /** What the formulas have it take up there. */
  readonly takeUpMm: number;
  /** How much lower than reckoned the tip hung. */
  readonly errorMm: number;
}

/** The true take-up of one knot in one tie: length − loop − tip − tail, against the formulas’. */
export function seenOnStand(moves: string, tie: Tie, { loopMm, tipMm, tailMm }: OnStand): StandSeen {
  const takenUpMm = tie.lengthMm - loopMm - tipMm - tailMm;
  const { takeUpMm } = takeUp(parseKnot(moves), tie, { loopMm, tailMm });
  return { takenUpMm, takeUpMm, errorMm: takeUpMm - takenUpMm };
}

/** A knot takes up something between these shares of what the formulas say; anything else was misread. */
export const plausibleShare = { from: 0.5, to: 1.7 } as const;

/** A tie with how often it is worn: what is learnt of one that is often worn counts more often. */
export interface WornTie {
  readonly id: string;
  readonly wearings: number;
}

/** What tying one knot of one tie would teach. */
export interface Teaching {
  readonly tie: string;
  readonly knot: string;
  /** Of all doubt about what the everyday knots of these ties take up, what share it would take away. */
  readonly settles: number;
}

/** More ties than these are not weighed against each other: those that are worn most. */
const mostWeighed = 40;

/** How well one such minute tells the share, with a knot of usual take-up. */
const usualTakeUpMm = 220;

/**
 * Which one knot of which tie would teach most: that which takes most doubt away from everything that is usually tied, each
 * tie as often as it is worn. By what one more normal observation does to the variances of all others.
 */
export function teachesMost(known: Known, stylist: string, ties: readonly WornTie[], knots: readonly string[]): Teaching | undefined {
  const worn = ties.toSorted((a, b) => b.wearings - a.wearings).slice(0, mostWeighed);
  const pairs = worn.flatMap(({ id, wearings }) =>
    knots.map((knot) => ({ tie: id, knot, weight: wearings + 1, mix: shareMix(stylist, id, knot) })),
  );
  const noise = (usualPriors.tying / usualTakeUpMm) ** 2;
  const doubt = pairs.reduce((sum, { mix, weight }) => sum + weight * reckon(known, mix).variance, 0);
  let best: Teaching | undefined;
  for (const one of pairs) {
    const total = reckon(known, one.mix).variance + noise;
    const settled = pairs.reduce((sum, { mix, weight }) => sum + (weight * covarianceOf(known, mix, one.mix) ** 2) / total, 0);
    if (!best || settled / doubt > best.settles) best = { tie: one.tie, knot: one.knot, settles: settled / doubt };
  }
  return best;
}
