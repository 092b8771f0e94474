import { hidesTip } from '../tail.ts';
import type { Criterion } from './criterion.ts';

const goodFrom = 0.55;
const fairFrom = 0.25;
const hiddenWeightOfMissing = 0.85;

/** How often does the tip end where it may? */
export const landingCriterion: Criterion = {
  code: 'landing',
  weight: 0.12,
  judge: ({ landing, request, say }) => {
    const { inBandProbability: chance } = landing;
    const inHundred = Math.round(chance * 100);
    const text = `Lands within tolerance about ${inHundred} times in 100 on the first tying, give or take ${say(landing.sdMm)}.`;
    if (hidesTip(request.jacket)) {
      const hider = request.jacket?.waistcoat ? 'waistcoat' : 'closed jacket';
      return { score: Math.max(chance, hiddenWeightOfMissing), verdict: 'good', text: `${text} The ${hider} hides the tip.` };
    }
    return { score: chance, verdict: chance >= goodFrom ? 'good' : chance >= fairFrom ? 'fair' : 'poor', text };
  },
};
