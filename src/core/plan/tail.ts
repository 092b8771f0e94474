import type { ActiveEnd } from '../knot/knot.ts';
import { normalCdf } from '../numeric/normal.ts';
import type { Start } from '../tying/start.ts';
import { repeatabilitySdMm } from './landing.ts';
import type { PlanRequest } from './request.ts';

export interface TailOutcome {
  /** Tail tip below the collar button once the knot is drawn up, mm; 0 where it is hidden under the collar. */
  readonly dropMm: number;
  readonly reachesKeeper: boolean;
  /** Does it stay behind the blade, or under the collar? */
  readonly hidden: boolean;
  /** How likely it is that the tail is long enough to hold and stays out of sight, 0 to 1. */
  readonly works: number;
}

/** Why a knot won't work with a tie, and by how much. */
export interface Refusal {
  readonly code: 'tail-too-short' | 'tail-below-blade' | 'tail-too-long-to-hide';
  readonly byMm: number;
}

const throughKeeperMm = 30;

/** A tail so near the blade's tip is worth a remark: it may show, and ends that are level are what some aim for. */
export const nearTipMm = 10;

/** Below this much under the knot there is nothing to hold while it is drawn up, and the loop slips open. */
const handholdMm = 60;

/** Whatever hides it, a tail hangs no lower than this below the blade. */
const mostBelowBladeMm = 40;

/** Everything about a tied knot that decides what becomes of the tail. */
export interface TiedEnds {
  readonly active: ActiveEnd;
  readonly start: Start;
  readonly loopMm: number;
  readonly tipDropMm: number;
  /** How far the blade's tip may miss. */
  readonly tipSdMm: number;
  readonly keeperMm: number;
  readonly knotHeightMm: number;
  readonly jacket: PlanRequest['jacket'];
}

/** Share of the loop that an end can follow under the collar: past the nape and round to the other side. */
const roomUnderCollar = 0.75;

export interface Ends {
  readonly tail: TailOutcome;
  readonly refusal: Refusal | null;
  /** How much shorter the tie could be, mm; negative where it is too short. About right, since the taper shifts. */
  readonly shorterByMm: number;
}

/**
 * What becomes of the tail: it hangs behind the blade, or, where it was the end that tied, what is left of it follows
 * the loop under the collar. What misses by less than its own uncertainty is a chance, not a refusal.
 */
export function endsOf(tied: TiedEnds): Ends {
  return tied.active === 'blade' ? hanging(tied) : underCollar(tied);
}

function hanging({ start, tipDropMm, tipSdMm, keeperMm, knotHeightMm, jacket }: TiedEnds): Ends {
  const dropMm = start.tailMm;
  const spare = dropMm - knotHeightMm - handholdMm;
  const below = dropMm - tipDropMm;
  // Out of sight it may hang lower, as far as ever; in sight, level with the tip is the most.
  const freeMm = hidesTip(jacket) ? Math.max(0, mostBelowBladeMm - tipSdMm) : 0;
  const mostMm = Math.min(mostBelowBladeMm, freeMm + tipSdMm);
  const tail = {
    dropMm,
    reachesKeeper: dropMm >= tipDropMm - keeperMm + throughKeeperMm,
    hidden: below <= 0,
    works: normalCdf(spare / repeatabilitySdMm) * normalCdf((freeMm - below) / tipSdMm),
  };
  const refusal: Refusal | null =
    spare < -repeatabilitySdMm
      ? { code: 'tail-too-short', byMm: -spare }
      : below > mostMm
        ? { code: 'tail-below-blade', byMm: below - freeMm }
        : null;
  return { tail, refusal, shorterByMm: spare };
}

function underCollar({ start: { restMm }, loopMm, tipSdMm }: TiedEnds): Ends {
  const over = restMm - roomUnderCollar * loopMm;
  const spare = restMm - handholdMm;
  const tail = {
    dropMm: 0,
    reachesKeeper: false,
    hidden: over <= 0,
    works: normalCdf(spare / repeatabilitySdMm) * normalCdf(-over / tipSdMm),
  };
  const refusal: Refusal | null =
    spare < -repeatabilitySdMm
      ? { code: 'tail-too-short', byMm: -spare }
      : over > tipSdMm
        ? { code: 'tail-too-long-to-hide', byMm: over }
        : null;
  return { tail, refusal, shorterByMm: spare };
}

/** Whether the tip is out of sight: under a waistcoat, or behind a jacket that is buttoned. */
export function hidesTip(jacket: PlanRequest['jacket']): boolean {
  return jacket !== null && (jacket.waistcoat || jacket.worn === 'closed');
}

/** How much longer the tail would have to be to reach through the keeper, mm. */
export function shortOfKeeper(tail: TailOutcome, tipDropMm: number, keeperMm: number): number {
  return tipDropMm - keeperMm + throughKeeperMm - tail.dropMm;
}
