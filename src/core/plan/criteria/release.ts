import type { Criterion } from './criterion.ts';

/** Does it pull open when the tail is drawn out? Weighed only where that is wanted. */
export const releaseCriterion: Criterion = {
  code: 'release',
  weight: 0.2,
  judge: ({ properties, request }) => {
    if (request.liking.release !== 'wanted') return undefined;
    if (properties.active === 'narrow') {
      return { score: 0, verdict: 'poor', text: 'Has to be untied move by move; the client wants a knot that pulls open.' };
    }
    return properties.selfReleasing
      ? { score: 1, verdict: 'good', text: 'Pulls open when the tail is drawn out.' }
      : { score: 0, verdict: 'poor', text: 'Leaves a knot when the tail is drawn out; the client wants one that pulls open.' };
  },
};
