import type { TyingRequest } from '../simulate.ts';

/** What a step is settled for: a knot, in a tie, from a start. */
export type StepRequest = Pick<TyingRequest, 'knot' | 'tie' | 'loopMm' | 'standingMm'>;

/** How far the nape is from the tip of the end that ties, and from the tip of the other, mm. */
export interface Nape {
  readonly activeMm: number;
  readonly standingMm: number;
}

/** The nape is half the loop from either side of the collar button. */
export function napeOf({ tie, loopMm, standingMm }: StepRequest): Nape {
  return { activeMm: tie.lengthMm - standingMm - loopMm / 2, standingMm: standingMm + loopMm / 2 };
}
