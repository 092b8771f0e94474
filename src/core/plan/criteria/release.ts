import type { Criterion } from './criterion.ts';

/** Does it fall open when the narrow end is drawn out? Weighed only where that is wanted. */
export const releaseCriterion: Criterion = {
  code: 'release',
  weight: 0.2,
  judge: ({ properties, request }) => {
    if (request.taste.release !== 'wanted') return undefined;
    if (properties.active === 'narrow')
      return { score: 0, verdict: 'poor', text: 'Has to be undone move by move, which he does not want.' };
    return properties.selfReleasing
      ? { score: 1, verdict: 'good', text: 'Falls open when the narrow end is drawn out.' }
      : { score: 0, verdict: 'poor', text: 'Leaves a knot when the narrow end is drawn out, which he does not want.' };
  },
};
