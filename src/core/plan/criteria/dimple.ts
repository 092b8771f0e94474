import { piecewise } from '../../numeric/piecewise.ts';
import { fabrics } from '../../tie/fabrics.ts';
import { patterns } from '../../tie/patterns.ts';
import { widthAt } from '../../tie/width.ts';
import type { Criterion } from './criterion.ts';

/**
 * How well a fold forms, by how many times as wide the blade is as the foot of the knot it comes out of: what is wider
 * has to fold, what is hardly wider is drawn out flat. A prior of ours.
 */
const room = piecewise([
  [1, 0],
  [1.25, 0.6],
  [1.6, 1],
]);
const goodFrom = 0.62;
const fairFrom = 0.35;
const lostOnPattern = 0.6;

/** Will a dimple form under this knot in this cloth, and stay? Asked where one is wanted and the knot is tucked. */
export const dimpleCriterion: Criterion = {
  code: 'dimple',
  weight: 0.05,
  judge: ({ properties, shape, landing, request }) => {
    if (request.liking.dimple === 'none' || properties.finish !== 'tuck' || properties.active !== 'blade') return undefined;
    const { tie } = request;
    const { label, dimple } = fabrics[tie.fabric];
    const { quiet, label: pattern } = patterns[tie.pattern];
    const times = widthAt(tie, landing.dropMm - shape.heightMm) / shape.bottomMm;
    const score = dimple * room(times) * (quiet ? 1 : lostOnPattern);
    if (!quiet) return { score, verdict: 'fair', text: `A dimple is lost on the ${pattern}.` };
    const wide = `the blade is ${times.toFixed(1)} times as wide as the knot’s foot`;
    if (score >= goodFrom) return { score, verdict: 'good', text: `Takes a dimple well: ${label}, and ${wide}.` };
    const why = dimple < goodFrom ? `${label} keeps only a soft fold` : `${wide}, which leaves little to fold`;
    return score >= fairFrom
      ? { score, verdict: 'fair', text: `Takes a dimple with care: ${why}.` }
      : { score, verdict: 'fair', text: `Hardly takes a dimple: ${why}.` };
  },
};
