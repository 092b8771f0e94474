import { countWord, hardshipsOf } from '../../knot/difficulty.ts';
import type { Liking } from '../habits.ts';
import type { Criterion } from './criterion.ts';

const costOfSeldom = 0.2;
const costOfNoName = 0.25;
/** How much the difficulties weigh for whoever ties it. */
const burden: Readonly<Record<Liking['practice'], number>> = { new: 1.6, some: 1, fluent: 0.35 };
const goodFrom = 0.65;
const fairFrom = 0.35;

/** How hard is it to learn and to repeat? */
export const easeCriterion: Criterion = {
  code: 'ease',
  weight: 0.16,
  judge: ({ properties, request }) => {
    const { balance, names, everyday } = properties;
    const unusual = names.length === 0 ? costOfNoName : everyday ? 0 : costOfSeldom;
    const hardships = hardshipsOf(properties);
    const cost = hardships.reduce((sum, part) => sum + part.cost, unusual);
    const score = Math.max(0, 1 - burden[request.liking.practice] * cost);
    const says = [`${countWord(properties.moves)} moves`];
    if (properties.startSeam === 'out') says.push('starts inside out');
    if (balance > 1) says.push(`changes direction ${balance === 2 ? 'twice' : `${countWord(balance)} times`}`);
    if (names.length === 0) says.push('has no everyday name');
    const sentence = says.join(', ');
    return {
      score,
      verdict: score >= goodFrom ? 'good' : score >= fairFrom ? 'fair' : 'poor',
      text: `${sentence.charAt(0).toUpperCase()}${sentence.slice(1)}.`,
    };
  },
};
