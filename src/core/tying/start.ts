import type { Tie } from '../tie/tie.ts';
import { tieFrom } from '../tie/turned.ts';
import type { Bundle } from './bundle.ts';
import { bundleOf } from './takeUp.ts';
import type { Winding } from './winding.ts';

export interface StartQuestion {
  readonly loopMm: number;
  readonly crossingGapMm: number;
  /** Where the blade's tip shall end, below the collar button, mm. */
  readonly dropMm: number;
}

export interface Start {
  /** Narrow tip below the collar button before the first move, mm. Negative when the tie is too short. */
  readonly tailMm: number;
  /** What is left of the end that ties, past the knot: the blade below it, or a narrow end to hide. */
  readonly restMm: number;
  readonly bundle: Bundle;
  /** Take-ups computed on the way. */
  readonly evaluations: number;
}

/** Finer than a hand can set, coarse enough to stop early. */
const toleranceMm = 0.01;

/** The tip moves by about this much more than the start moves, since a lower start knots wider cloth. */
const usualGain = 1.2;

const mostEvaluations = 60;

/**
 * The start that puts the blade's tip `dropMm` below the collar button: the root of
 * length − loop − tail − gap − takeUp(tail) − drop, which falls as the tail grows.
 * Secant steps inside a bracket; a step that leaves the bracket is replaced by halving it.
 */
export function startFor(winding: Winding, tie: Tie, question: StartQuestion): Start {
  return winding.active === 'blade' ? startOfTail(winding, tie, question) : startOfBlade(winding, tie, question);
}

/** The narrow end ties, so the blade is set to its length first, and only the drawing up of the knot moves it: no search. */
function startOfBlade(winding: Winding, tie: Tie, { loopMm, crossingGapMm, dropMm }: StartQuestion): Start {
  const standingMm = dropMm - crossingGapMm;
  const bundle = bundleOf(winding, tieFrom('narrow', tie), { loopMm, standingMm, crossingGapMm });
  const tailMm = tie.lengthMm - loopMm - standingMm;
  return { tailMm, bundle, restMm: tailMm - crossingGapMm - bundle.takeUpMm, evaluations: 1 };
}

function startOfTail(winding: Winding, tie: Tie, question: StartQuestion): Start {
  const { loopMm, crossingGapMm, dropMm } = question;
  const withoutKnot = tie.lengthMm - loopMm - crossingGapMm - dropMm;
  let evaluations = 0;
  const at = (tailMm: number) => {
    evaluations++;
    const bundle = bundleOf(winding, tie, { loopMm, standingMm: tailMm, crossingGapMm });
    return { tailMm, bundle, error: withoutKnot - tailMm - bundle.takeUpMm };
  };

  // With no cloth in the knot the tip would land too high by the whole take-up: an upper end for the tail.
  let before = at(withoutKnot);
  let high = before.tailMm;
  let low = Number.NEGATIVE_INFINITY;
  let now = at(before.tailMm + before.error / usualGain);
  while (Math.abs(now.error) > toleranceMm && evaluations < mostEvaluations) {
    if (now.error > 0) low = now.tailMm;
    else high = now.tailMm;
    const slope = (now.error - before.error) / (now.tailMm - before.tailMm);
    let next = now.tailMm - now.error / slope;
    if (!(next > low && next < high)) next = low > Number.NEGATIVE_INFINITY ? (low + high) / 2 : high - 2 * tie.bladeMm;
    before = now;
    now = at(next);
  }
  return { tailMm: now.tailMm, bundle: now.bundle, restMm: dropMm + now.error, evaluations };
}
