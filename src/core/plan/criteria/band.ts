import { piecewise } from '../../numeric/piecewise.ts';
import type { Criterion } from './criterion.ts';

/** Less than this is no more than the cloth gives, mm; from the second on it is seen across a room. */
const showsFromMm = 1;
const clearlyFromMm = 3.5;

/** What is left of a knot beside which the band shows so far, mm. */
const left = piecewise([
  [1, 1],
  [4, 0.8],
  [12, 0.45],
]);

/** Does the collar hide the tie's band, beside the knot and all round? Fastened points hold it covered; some clients accept it. */
export const bandCriterion: Criterion = {
  code: 'band',
  weight: 0,
  judge: ({ hidden: { besideMm, aroundMm }, request, collarClass, say }) => {
    if (aroundMm < 0) {
      return {
        score: 0,
        leaves: 0.7,
        verdict: 'poor',
        text: `The tie band looks out ${say(-aroundMm)} under the collar at the back: a tie with a narrower neck stays covered.`,
      };
    }
    if (besideMm < showsFromMm || request.shirt.pointsHeld) return undefined;
    const shows = `The tie band shows ${say(besideMm)} on either side of the knot`;
    if (request.liking.neckBand === 'tolerated') return { score: 1, verdict: 'good', text: `${shows}, which the client accepts.` };
    const verdict = besideMm >= clearlyFromMm ? 'poor' : 'fair';
    return { score: 0, leaves: left(besideMm), verdict, text: `${shows}: a larger knot covers it in the ${collarClass.label} collar.` };
  },
};
