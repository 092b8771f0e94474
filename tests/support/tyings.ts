import fc from 'fast-check';
import { completeRequest, type PlanRequest, parseKnot } from '../../src/core/index.ts';
import type { Hang } from '../../src/core/start/hang.ts';
import { type End, type StateCode, tailFrom } from '../../src/core/start/reading.ts';
import { tieFrom } from '../../src/core/tie/turned.ts';
import { bundleOf } from '../../src/core/tying/bundle.ts';
import { windingOf } from '../../src/core/tying/winding.ts';
import { anyTie } from './arbitrary.ts';

/** How a neck and a tie really are, beside what is known of them. */
export interface Really {
  readonly hang: Hang;
  /** The tie takes up so much more than the formula says, as a share. */
  readonly takeUpShare: number;
}

/** Ties a knot as a hand would: a tip is hung so far below the button in a state, and the end of the blade is looked at. */
export function tiedFrom(request: PlanRequest, really: Really, moves: string, state: StateCode, end: End, dropMm: number): number {
  const tailMm = tailFrom(state, end, dropMm, really.hang);
  const winding = windingOf(parseKnot(moves));
  const { loopMm } = really.hang;
  const bladeMm = request.tie.lengthMm - loopMm - tailMm;
  if (winding.active === 'narrow') return bladeMm;
  const { takeUpMm } = bundleOf(winding, tieFrom('blade', request.tie), { loopMm, standingMm: tailMm });
  return bladeMm - takeUpMm * (1 + really.takeUpShare);
}

/** Bodies, ties, gaps and aims of every kind, with every measure of the neck taken. */
export const anyRequest: fc.Arbitrary<PlanRequest> = fc
  .record({
    heightMm: fc.integer({ min: 1500, max: 2050 }),
    neckMm: fc.integer({ min: 340, max: 470 }),
    frontDropMm: fc.integer({ min: 360, max: 540 }),
    crossingGapMm: fc.integer({ min: 0, max: 50 }),
    openLoopMm: fc.integer({ min: 240, max: 380 }),
    slackMm: fc.integer({ min: 0, max: 60 }),
    blade: fc.constantFrom('right' as const, 'left' as const),
    offsetMm: fc.integer({ min: -60, max: 20 }),
    tie: anyTie,
  })
  .map(({ offsetMm, tie, slackMm, ...client }) =>
    completeRequest({
      client: { ...client, crossedLoopMm: client.neckMm + 25 + slackMm },
      tie,
      aim: { offsetMm, aboveMm: 13, belowMm: 12 },
      search: { knots: 'named', manner: 'any' },
    }),
  );
