import { type Calibration, uncalibrated } from '../fitbook/calibration.ts';
import type { Tie } from '../tie/tie.ts';
import { tieFrom } from '../tie/turned.ts';
import type { Bundle } from './bundle.ts';
import { bundleOf } from './bundle.ts';
import type { Winding } from './winding.ts';

export interface StartQuestion {
  readonly loopMm: number;
  /** Where the blade's tip shall end, below the collar button, mm. */
  readonly dropMm: number;
  /** What is known of this client, tie, knot and hand beyond the formulas. */
  readonly calibration?: Calibration;
}

export interface Start {
  /** Tail tip below the collar button before the first move, mm. Negative when the tie is too short. */
  readonly tailMm: number;
  /** What is left of the end that ties, past the knot: the blade below it, or a tail to hide. */
  readonly restMm: number;
  /** Cloth the knot takes up, with what is known of it beyond the formula. */
  readonly takeUpMm: number;
  readonly bundle: Bundle;
  /** Take-ups computed on the way. */
  readonly evaluations: number;
}

/** Finer than a hand can set, coarse enough to stop early. */
const toleranceMm = 0.01;

/** The tip moves by about this much more than the start moves, since a lower start knots wider cloth. */
export const usualGain = 1.2;

const mostEvaluations = 60;

/**
 * The start that puts the blade's tip `dropMm` below the collar button, ends crossed at the button: the root of
 * length − loop − tail − takeUp(tail) − drop, which falls as the tail grows.
 * Secant steps inside a bracket; a step that leaves the bracket is replaced by halving it.
 */
export function startFor(winding: Winding, tie: Tie, question: StartQuestion): Start {
  return winding.active === 'blade' ? startOfTail(winding, tie, question) : startOfBlade(winding, tie, question);
}

/** The tail ties, so the blade is set to its length first, and only the drawing up of the knot moves it: no search. */
function startOfBlade(winding: Winding, tie: Tie, { loopMm, dropMm, calibration = uncalibrated }: StartQuestion): Start {
  const standingMm = dropMm - lowerBy(calibration);
  const bundle = bundleOf(winding, tieFrom('narrow', tie), { loopMm, standingMm });
  const takeUpMm = bundle.takeUpMm * (1 + calibration.takeUp.share);
  const tailMm = tie.lengthMm - loopMm - standingMm;
  return { tailMm, bundle, takeUpMm, restMm: tailMm - takeUpMm, evaluations: 1 };
}

function startOfTail(winding: Winding, tie: Tie, { loopMm, dropMm, calibration = uncalibrated }: StartQuestion): Start {
  const withoutKnot = tie.lengthMm - loopMm - dropMm + lowerBy(calibration);
  let evaluations = 0;
  const at = (tailMm: number) => {
    evaluations++;
    const bundle = bundleOf(winding, tie, { loopMm, standingMm: tailMm });
    const takeUpMm = bundle.takeUpMm * (1 + calibration.takeUp.share);
    return { tailMm, bundle, takeUpMm, error: withoutKnot - tailMm - takeUpMm };
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
  return { tailMm: now.tailMm, bundle: now.bundle, takeUpMm: now.takeUpMm, restMm: dropMm + now.error, evaluations };
}

/** Nearer than this the ends are level to any eye, mm. */
const levelMm = 1;

/**
 * Where within a stretch the blade's tip has to end so that the tail's ends level with it, or as near as the stretch
 * allows: a lower tip takes a higher tail, so it is found by halving (regula falsi).
 */
export function levelDrop(
  winding: Winding,
  tie: Tie,
  question: Omit<StartQuestion, 'dropMm'>,
  [fromMm, toMm]: readonly [number, number],
): number {
  const lowerTail = (dropMm: number) => startFor(winding, tie, { ...question, dropMm }).tailMm - dropMm;
  let high = { at: fromMm, by: lowerTail(fromMm) };
  let low = { at: toMm, by: lowerTail(toMm) };
  if (high.by <= 0) return high.at;
  if (low.by >= 0) return low.at;
  for (let i = 0; i < 6; i++) {
    const at = high.at + ((low.at - high.at) * high.by) / (high.by - low.by);
    const by = lowerTail(at);
    if (Math.abs(by) < levelMm) return at;
    if (by > 0) high = { at, by };
    else low = { at, by };
  }
  return (high.at + low.at) / 2;
}

/** How much lower than reckoned the tip lands with this client and this hand, mm. */
function lowerBy({ client, hand }: Calibration): number {
  return client.meanMm + hand.meanMm;
}
