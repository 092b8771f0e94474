import { fabrics } from '../../tie/fabrics.ts';
import { gripNeeded } from '../../tying/grip.ts';
import type { Criterion } from './criterion.ts';

const slipsBy = 0.25;

/** Does the fabric hold it? Classic knots hold themselves, so only the others are asked. */
export const gripCriterion: Criterion = {
  code: 'grip',
  weight: 0.15,
  judge: ({ properties, request }) => {
    if (properties.manner === 'classic') return undefined;
    const { grip, label } = fabrics[request.tie.fabric];
    const short = gripNeeded(properties) - grip;
    const what = properties.loose ? 'its loose turns' : properties.finish === 'open' ? 'the panel' : 'the knot';
    if (short <= 0) return { score: 1, verdict: 'good', text: `The ${label} grips well enough to hold ${what}.` };
    return {
      score: Math.max(0, 1 - short / slipsBy),
      verdict: short < slipsBy / 2 ? 'fair' : 'poor',
      text: `The ${label} is smooth: ${what} may slip. A fabric with texture holds.`,
    };
  },
};
