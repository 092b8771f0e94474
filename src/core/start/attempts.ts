import { frontDropOf } from '../body/frontDrop.ts';
import type { Calibration } from '../fitbook/calibration.ts';
import { calibrationHere, type LearntHere, nothingLearnt, type SeenHere, untaught } from '../fitbook/here.ts';
import { parseKnot } from '../knot/parse.ts';
import type { KnotPlan } from '../plan/knotPlan.ts';
import { repeatabilitySdMm } from '../plan/landing.ts';
import { planKnot } from '../plan/plan.ts';
import type { PlanRequest } from '../plan/request.ts';
import { tieFrom } from '../tie/turned.ts';
import { bundleOf } from '../tying/bundle.ts';
import { readingsOf } from '../tying/readings.ts';
import { windingOf } from '../tying/winding.ts';
import { hangingIn, hangOf } from './hang.ts';
import { type End, gainOf, type StateCode, tailFrom, tipByLoops, tipIn } from './reading.ts';

/** One tying whose start and outcome are known: an attempt of a fitting, or a start known to work. Lengths in mm. */
export interface Attempt {
  /** The knot's canonical moves. */
  readonly moves: string;
  /** Names the tie it was tied in. */
  readonly tie: string;
  /** The tail's drop, snug, that the start amounted to as it was read with nothing learnt of the loops, and the state it was read in. */
  readonly tailMm: number;
  readonly state: StateCode;
  /** Where the blade tip ended, against the belt top; lower is positive. */
  readonly tipOffMm: number;
  /** Where the tail ended below the collar button, where it was looked at. */
  readonly tailEndMm: number | null;
  /** What the formulas had said of it: the cloth taken up, and how much lower the tip ended than they had it. */
  readonly takeUpMm: number;
  readonly errorMm: number;
  /** How far one such tying may be off by itself. */
  readonly noiseMm: number;
}

/** More tyings of one fitting than anyone has the patience for. */
export const mostAttempts = 20;

/** What was seen of a tying. */
export type Seen = Pick<Attempt, 'moves' | 'tie' | 'tailMm' | 'state' | 'tipOffMm'> & Partial<Pick<Attempt, 'tailEndMm' | 'noiseMm'>>;

/** A start that is only remembered to work is known less well than one that was just read, mm. */
export const rememberedNoiseMm = 20;

/** A tying that was seen, set against what the formulas say of it before anything was learnt. */
export function attemptOf(request: PlanRequest, seen: Seen): Attempt {
  const { takeUpMm, tipMm } = reckoned(request, seen.moves, seen.tailMm);
  const landedMm = frontDropOf(request.client).meanMm + seen.tipOffMm;
  return { tailEndMm: null, noiseMm: repeatabilitySdMm, ...seen, takeUpMm, errorMm: landedMm - tipMm };
}

/** What the formulas alone say of a start: the cloth the knot takes up, and where the blade's tip ends. */
function reckoned({ client, shirt, tie }: PlanRequest, moves: string, tailMm: number): { takeUpMm: number; tipMm: number } {
  const loopMm = client.neckMm + shirt.collarAllowanceMm;
  const winding = windingOf(parseKnot(moves));
  const bladeMm = tie.lengthMm - loopMm - tailMm;
  if (winding.active === 'narrow') return { takeUpMm: 0, tipMm: bladeMm };
  const { takeUpMm } = bundleOf(winding, tieFrom('blade', tie), { loopMm, standingMm: tailMm });
  return { takeUpMm, tipMm: bladeMm - takeUpMm };
}

/** What the fit book and the attempts of this fitting teach of the next one with this client and hand, in a tie. */
export function learntFrom(
  attempts: readonly Attempt[],
  request: PlanRequest,
  tie: string,
  learnt: LearntHere = nothingLearnt,
): Calibration {
  return calibrationHere(
    learnt,
    attempts.map((attempt) => seenOf(attempt, request)),
    request,
    tie,
  );
}

/** A loop that was measured is off by no more than a reading is. */
function seenOf({ moves, tie, takeUpMm, errorMm, noiseMm, state }: Attempt, { client }: PlanRequest): SeenHere {
  const { openBy, crossedBy } = tipByLoops(state, windingOf(parseKnot(moves)).active === 'blade' ? 'tail' : 'blade');
  return {
    ...{ knot: moves, tie, takeUpMm, tipErrorMm: errorMm, noiseMm },
    openBy: client.openLoopMm === null ? openBy : 0,
    crossedBy: client.crossedLoopMm === null ? crossedBy : 0,
  };
}

/** How to start again after a tying that came out wrong. */
export interface Correction {
  /** The same knot with what was learnt. */
  readonly next: KnotPlan;
  /** How much lower than last time to set the tip of the end that is set; negative is higher. mm */
  readonly byMm: number;
  /** What the rule of thumb would say: as much as the tip was off. */
  readonly thumbMm: number;
  /** How far the blade tip would then end from the aim, lower is positive. */
  readonly thumbMissesMm: number;
}

/**
 * The start for the next attempt with the knot of the last one. `request` without what was learnt; `lessons` are the
 * attempts that the book has not learnt from yet, the last one among them or not.
 */
export function correctionAfter(last: Attempt, lessons: readonly Attempt[], request: PlanRequest, learnt?: LearntHere): Correction {
  const next = planKnot({ ...request, calibration: learntFrom(lessons, request, last.tie, learnt) }, last.moves);
  const offMm = last.tipOffMm - (next.tip.dropMm - frontDropOf(request.client).meanMm);
  const { end } = next.start.set;
  const isTail = end === 'tail';
  const thumbMm = isTail ? offMm : -offMm;
  const byMm = tipIn(next.start.readings, last.state, end) - wasSetAt(last, request, end);
  // A lower tail lifts the tip by more than itself; the blade, set first, moves it by just as much.
  return { next, byMm, thumbMm, thumbMissesMm: isTail ? gainOf(next) * (byMm - thumbMm) : thumbMm - byMm };
}

/** Where the tip of an end was set, as it was read. */
function wasSetAt({ tailMm, state }: Attempt, request: PlanRequest, end: End): number {
  return tipIn(readingsOf(tailMm, hangingIn(hangOf(untaught(request)))), state, end);
}

/** A knot that would land from a start already used. */
export interface LandsFrom {
  readonly moves: string;
  readonly title: string;
  /** Where its blade tip would end, against the aim; lower is positive. mm */
  readonly offMm: number;
}

/**
 * The knots of a ranking whose tip would end within tolerance from the start last used, the nearest first: what could be
 * tied as the tie hangs now.
 */
export function knotsFromStart(last: Attempt, knots: readonly KnotPlan[], request: PlanRequest): LandsFrom[] {
  const { aim } = request;
  const tailMm = tailFrom(last.state, 'tail', wasSetAt(last, request, 'tail'), hangOf(request));
  return knots
    .filter(({ moves, feasible, start }) => feasible && moves !== last.moves && start.set.end === 'tail')
    .map((knot) => ({ moves: knot.moves, title: knot.title, offMm: gainOf(knot) * (knot.start.tailDropMm - tailMm) }))
    .filter(({ offMm }) => offMm <= aim.belowMm && offMm >= -aim.aboveMm)
    .sort((a, b) => Math.abs(a.offMm) - Math.abs(b.offMm));
}
