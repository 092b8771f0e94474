import type { PlanQuestion } from '../../src/core/index.ts';
import { supposeTie } from '../../src/core/tie/tie.ts';

/** A usual client with a usual tie, every knot to nine moves. */
export const question: PlanQuestion = {
  client: { heightMm: 1780, neckMm: 395, frontDropMm: 450 },
  jacket: { lapelMm: 85 },
  tie: supposeTie({ lengthMm: 1470, bladeMm: 85, thicknessMm: 3.2 }),
  taste: { knots: 'all' },
};
