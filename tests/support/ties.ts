import type { PlanQuestion, Tie } from '../../src/core/index.ts';

/** The two reference ties of the model. */
export const tieA: Tie = {
  lengthMm: 1470,
  bladeMm: 85,
  neckMm: 34,
  neckAtMm: 840,
  tailMm: 48,
  thicknessMm: 3.2,
  keeperMm: 230,
  fabric: 'woven-silk',
  pattern: 'solid',
};

export const tieB: Tie = { ...tieA, lengthMm: 1450, bladeMm: 60, neckMm: 28, neckAtMm: 830, tailMm: 38, thicknessMm: 2.4 };

/** Loop 420 and front drop 450, as the reference answers suppose. */
export const question: PlanQuestion = {
  client: { heightMm: 1780, neckMm: 395, frontDropMm: 450 },
  shirt: { collarPointMm: 75, collarSpreadMm: 110, tieSpaceMm: 8 },
  jacket: { lapelMm: 85 },
  tie: tieA,
  // The edge of the belt, as the reference answers suppose.
  aim: { offsetMm: 0, aboveMm: 25, belowMm: 0 },
};
