import type { PlanRequest } from './request.ts';

export interface TailOutcome {
  /** Narrow tip below the collar button once the knot is drawn up, mm. */
  readonly dropMm: number;
  readonly reachesKeeper: boolean;
  /** Does it stay behind the blade? */
  readonly hidden: boolean;
}

/** What is wrong with the narrow end, and by how many millimetres; `none` when the knot can be worn. */
export type TailFault = { readonly kind: 'none' } | { readonly kind: 'too-short' | 'peeps-out'; readonly byMm: number };

const throughKeeperMm = 30;
const behindBladeMm = 10;

/** Below this much under the knot there is nothing to hold while it is drawn up, and the loop slips open. */
const handholdMm = 60;

/** Where the narrow end finishes. `tipDropMm` is the blade's tip. */
export function tailOutcome(dropMm: number, tipDropMm: number, keeperMm: number): TailOutcome {
  return {
    dropMm,
    reachesKeeper: dropMm >= tipDropMm - keeperMm + throughKeeperMm,
    hidden: dropMm <= tipDropMm - behindBladeMm,
  };
}

/** Whether the tip is out of sight: under a waistcoat, or behind a jacket that is closed. */
export function hidesTip(jacket: PlanRequest['jacket']): boolean {
  return jacket !== null && (jacket.waistcoat || jacket.worn === 'closed');
}

/** Where the ends are out of sight, only a tail too short to hold rules a knot out. */
export function tailFault(tail: TailOutcome, tipDropMm: number, knotHeightMm: number, jacket: PlanRequest['jacket']): TailFault {
  const missing = knotHeightMm + handholdMm - tail.dropMm;
  if (missing > 0) return { kind: 'too-short', byMm: missing };
  if (!tail.hidden && !hidesTip(jacket)) return { kind: 'peeps-out', byMm: tail.dropMm - (tipDropMm - behindBladeMm) };
  return { kind: 'none' };
}

/** How much longer the tail would have to be to reach through the keeper, mm. */
export function shortOfKeeper(tail: TailOutcome, tipDropMm: number, keeperMm: number): number {
  return tipDropMm - keeperMm + throughKeeperMm - tail.dropMm;
}
