import { chanceInWords } from '../chance.ts';
import { hidesTip } from '../tail.ts';
import type { Criterion } from './criterion.ts';

const goodFrom = 0.45;
const fairFrom = 0.15;
const hiddenWeightOfMissing = 0.85;

/** How often does the tip end where it may? */
export const landingCriterion: Criterion = {
  code: 'landing',
  weight: 0.12,
  judge: ({ landing, request, say }) => {
    const { inBandProbability: chance } = landing;
    const text = `First try: ${chanceInWords(chance)} within tolerance (±${say(landing.sdMm)}).`;
    if (hidesTip(request.jacket)) {
      const hider = request.jacket?.waistcoat ? 'waistcoat' : 'buttoned jacket';
      return { score: Math.max(chance, hiddenWeightOfMissing), verdict: 'good', text: `${text} The ${hider} hides the tip.` };
    }
    return { score: chance, verdict: chance >= goodFrom ? 'good' : chance >= fairFrom ? 'fair' : 'poor', text };
  },
};
