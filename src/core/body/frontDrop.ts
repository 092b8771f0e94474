/** A length along the front with how far it may be off (one standard deviation), mm. */
export interface Estimate {
  readonly meanMm: number;
  readonly sdMm: number;
}

export interface FrontDrop extends Estimate {
  readonly measured: boolean;
}

interface Front {
  readonly label: string;
  /** Belt top below the collar button, as a share of height. */
  readonly shareOfHeight: number;
  /** How far a drop that no tape took may be off, mm. */
  readonly estimatedSdMm: number;
}

/** How fronts are cut and worn. A women's front runs over the bust to a higher belt, and varies more. */
export const fronts = {
  mens: { label: 'men’s', shareOfHeight: 0.255, estimatedSdMm: 20 },
  womens: { label: 'women’s', shareOfHeight: 0.25, estimatedSdMm: 30 },
} as const satisfies Record<string, Front>;

export type FrontCode = keyof typeof fronts;

/** How a measure was taken. */
export const takings = {
  tape: { label: 'with a tape' },
  estimate: { label: 'estimated' },
} as const;

export type Taking = keyof typeof takings;

const tapeSdMm = 5;

export interface FrontOf {
  readonly heightMm: number;
  readonly frontDropMm: number | null;
  readonly frontDropHow?: Taking;
  readonly front?: FrontCode;
}

/**
 * Collar button to the top edge of the belt, down the front. Taken with a tape where it was,
 * otherwise estimated by eye, otherwise from height; both of these are known less well.
 */
export function frontDropOf({ heightMm, frontDropMm, frontDropHow = 'tape', front = 'mens' }: FrontOf): FrontDrop {
  const { shareOfHeight, estimatedSdMm } = fronts[front];
  if (frontDropMm === null) return { meanMm: shareOfHeight * heightMm, sdMm: estimatedSdMm, measured: false };
  return frontDropHow === 'tape'
    ? { meanMm: frontDropMm, sdMm: tapeSdMm, measured: true }
    : { meanMm: frontDropMm, sdMm: estimatedSdMm, measured: false };
}
