import { fabrics } from '../../tie/fabrics.ts';
import { patterns } from '../../tie/patterns.ts';
import type { Criterion } from './criterion.ts';

const likingOfPlain = 0.6;
const dimplesWellFrom = 0.75;

/** Is the fabric better shown as a panel than with a dimple? Asked of open fronts, which have none. */
export const panelCriterion: Criterion = {
  code: 'panel',
  weight: 0.12,
  judge: ({ properties, request }) => {
    if (properties.finish !== 'open') return undefined;
    const { quiet, label } = patterns[request.tie.pattern];
    if (!quiet) return { score: 1, verdict: 'good', text: `The ${label} runs on unbroken over the knot, where a dimple would be lost.` };
    const lost = fabrics[request.tie.fabric].dimple >= dimplesWellFrom;
    return {
      score: lost ? likingOfPlain : (1 + likingOfPlain) / 2,
      verdict: 'fair',
      text: lost ? 'A plain panel gives up the dimple that this fabric would take.' : 'A plain panel, with no dimple under the knot.',
    };
  },
};
