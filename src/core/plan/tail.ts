import type { ActiveEnd } from '../knot/knot.ts';
import type { Start } from '../tying/start.ts';
import type { PlanRequest } from './request.ts';

export interface TailOutcome {
  /** Narrow tip below the collar button once the knot is drawn up, mm; 0 where it is hidden under the collar. */
  readonly dropMm: number;
  readonly reachesKeeper: boolean;
  /** Does it stay behind the blade, or under the collar? */
  readonly hidden: boolean;
}

/** What is wrong with the narrow end, and by how many millimetres; `none` when the knot can be worn. */
export type TailFault = { readonly kind: 'none' } | { readonly kind: 'too-short' | 'peeps-out'; readonly byMm: number };

const throughKeeperMm = 30;
const behindBladeMm = 10;

/** Below this much under the knot there is nothing to hold while it is drawn up, and the loop slips open. */
const handholdMm = 60;

/** Everything about a tied knot that decides what becomes of the narrow end. */
export interface TiedEnds {
  readonly active: ActiveEnd;
  readonly start: Start;
  readonly loopMm: number;
  readonly crossingGapMm: number;
  readonly tipDropMm: number;
  readonly keeperMm: number;
  readonly knotHeightMm: number;
  readonly jacket: PlanRequest['jacket'];
}

/** Share of the loop that an end can follow under the collar: past the nape and round to the other side. */
const roomUnderCollar = 0.75;

export interface Ends {
  readonly tail: TailOutcome;
  readonly fault: TailFault;
  /** How much shorter the tie could be, mm; negative where it is too short. About right, since the taper shifts. */
  readonly shorterByMm: number;
}

/**
 * What becomes of the narrow end: it hangs behind the blade, or, where it was the one that tied,
 * what is left of it follows the loop under the collar.
 */
export function endsOf(tied: TiedEnds): Ends {
  return tied.active === 'blade' ? hanging(tied) : underCollar(tied);
}

function hanging({ start, crossingGapMm, tipDropMm, keeperMm, knotHeightMm, jacket }: TiedEnds): Ends {
  const dropMm = start.tailMm + crossingGapMm;
  const tail = {
    dropMm,
    reachesKeeper: dropMm >= tipDropMm - keeperMm + throughKeeperMm,
    hidden: dropMm <= tipDropMm - behindBladeMm,
  };
  const spare = dropMm - knotHeightMm - handholdMm;
  // Where the ends are out of sight, only a tail too short to hold rules a knot out.
  const seen = !tail.hidden && !hidesTip(jacket);
  return { tail, fault: faultOf(-spare, seen ? dropMm - (tipDropMm - behindBladeMm) : 0), shorterByMm: spare };
}

function underCollar({ start: { restMm }, loopMm }: TiedEnds): Ends {
  const over = restMm - roomUnderCollar * loopMm;
  const spare = restMm - handholdMm;
  return { tail: { dropMm: 0, reachesKeeper: false, hidden: over <= 0 }, fault: faultOf(-spare, over), shorterByMm: spare };
}

function faultOf(missingMm: number, overMm: number): TailFault {
  if (missingMm > 0) return { kind: 'too-short', byMm: missingMm };
  return overMm > 0 ? { kind: 'peeps-out', byMm: overMm } : { kind: 'none' };
}

/** Whether the tip is out of sight: under a waistcoat, or behind a jacket that is closed. */
export function hidesTip(jacket: PlanRequest['jacket']): boolean {
  return jacket !== null && (jacket.waistcoat || jacket.worn === 'closed');
}

/** How much longer the tail would have to be to reach through the keeper, mm. */
export function shortOfKeeper(tail: TailOutcome, tipDropMm: number, keeperMm: number): number {
  return tipDropMm - keeperMm + throughKeeperMm - tail.dropMm;
}
