import { patterns } from '../../tie/patterns.ts';
import { prescribedPatterns } from '../prescribedPatterns.ts';
import type { Criterion } from './criterion.ts';

/** What is prescribed is no matter of more or less: a tie against it keeps so much of its score that it can still be compared. */
const leavesAgainst = 0.4;

/** Is the tie's pattern one that the occasion's regulation allows? Silent where none was prescribed. */
export const prescribedCriterion: Criterion = {
  code: 'prescribed',
  weight: 0.04,
  judge: ({ request }) => {
    const { occasion, tie } = request;
    if (occasion.patterns === null) return undefined;
    const { label, allows } = prescribedPatterns[occasion.patterns];
    const own = patterns[tie.pattern].label;
    if (allows.some((code) => code === tie.pattern)) return { score: 1, verdict: 'good', text: `Pattern as prescribed: ${own}.` };
    return { score: 0, verdict: 'poor', text: `Prescribed: ${label}; this tie has a ${own} pattern.`, leaves: leavesAgainst };
  },
};
