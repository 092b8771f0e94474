import { frontDropOf } from '../../body/frontDrop.ts';
import { filledBy, frontEdge } from '../../jacket/opening.ts';
import { piecewise } from '../../numeric/piecewise.ts';
import type { Criterion } from './criterion.ts';

/** How well a tie fills the opening, by the share of its width halfway down. Priors, to be held against the eye. */
const filled = piecewise([
  [0.3, 0],
  [0.5, 0.7],
  [0.65, 1],
  [1, 1],
  [1.3, 0.5],
]);
const lostBelow = 0.45;
const coversFrom = 1.05;

/** Does the tie fill the V that a buttoned jacket leaves? A high or low buttoning point changes how much of it shows. */
export const openingCriterion: Criterion = {
  code: 'opening',
  weight: 0.04,
  judge: ({ request: { client, jacket, tie }, landing }) => {
    if (jacket?.worn !== 'closed') return undefined;
    const share = filledBy(frontEdge(jacket, client.neckMm, frontDropOf(client).meanMm), tie, landing.dropMm);
    const score = filled(share);
    const percent = `${Math.round(share * 100)}%`;
    if (share < lostBelow)
      return { score, verdict: 'fair', text: `Fills only ${percent} of the jacket’s opening: a broader tie would hold its own.` };
    if (share > coversFrom) return { score, verdict: 'fair', text: 'Covers the shirt in the jacket’s opening from side to side.' };
    return { score, verdict: 'good', text: `Fills ${percent} of the jacket’s opening halfway down.` };
  },
};
