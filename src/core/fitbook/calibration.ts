/** A learnt length with how far it may be off (one standard deviation), mm. */
export interface Learnt {
  readonly meanMm: number;
  readonly sdMm: number;
}

/** A share with how far it may be off (one standard deviation). */
export interface LearntShare {
  readonly share: number;
  readonly sd: number;
}

/**
 * What is known of one client, tie, knot and pair of hands beyond the formulas. A value: it stands in the question
 * that is answered and is kept with the answer. Positive lengths: the tip lands so much lower than reckoned.
 */
export interface Calibration {
  /** A knot takes up so much more than the formula says, as a share of it; what is known of single knots goes before. */
  readonly takeUp: LearntShare & { readonly knots?: Readonly<Record<string, LearntShare>> };
  /** The stylist's own way of crossing and drawing up. */
  readonly hand: Learnt;
  /** The client's own drop against the one that was measured or estimated; `sdMm` null: as that one is known. */
  readonly client: { readonly meanMm: number; readonly sdMm: number | null };
}

/**
 * How far a take-up may be off before anything was recorded, as shares of it: by stylist, by tie, and by knot (formula
 * against cloth differs by 9 to 16% from word to word).
 */
export const takeUpSds = { stylist: 0.06, tie: 0.07, knot: 0.08 } as const;

/** Before any record: the formulas as they stand, with the one prior of how sure they are. */
export const uncalibrated: Calibration = {
  takeUp: { share: 0, sd: Math.hypot(takeUpSds.stylist, takeUpSds.tie, takeUpSds.knot) },
  hand: { meanMm: 0, sdMm: 0 },
  client: { meanMm: 0, sdMm: null },
};

/** The same for one knot, by its canonical moves. */
export function calibrationOf(calibration: Calibration, moves: string): Calibration {
  const known = calibration.takeUp.knots?.[moves];
  return known ? { ...calibration, takeUp: known } : calibration;
}
