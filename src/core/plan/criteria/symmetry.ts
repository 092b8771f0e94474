import { patterns } from '../../tie/patterns.ts';
import type { Criterion, Verdict } from './criterion.ts';

export type LeanWord = 'level' | 'slight' | 'clear';

const slightFrom = 0.06;
const clearFrom = 0.11;

/** The lean in words: it is the least certain of the knot's measures, so no figure is shown. */
export function leanWord(lean: number): LeanWord {
  return lean < slightFrom ? 'level' : lean < clearFrom ? 'slight' : 'clear';
}

const plain: Readonly<Record<LeanWord, { score: number; text: string }>> = {
  level: { score: 1, text: 'Sits level.' },
  slight: { score: 0.85, text: 'Leans slightly, which reads relaxed.' },
  clear: { score: 0.65, text: 'Leans clearly, which reads relaxed.' },
};

/** Does it sit level? A narrow collar shows a lean, a wide one hides it; stripes give it away. */
export const symmetryCriterion: Criterion = {
  code: 'symmetry',
  weight: 0.1,
  judge: ({ shape, collarClass, request }) => {
    const word = leanWord(shape.lean);
    const { score, text } = plain[word];
    if (word === 'level') return { score, verdict: 'good', text };
    if (patterns[request.tie.pattern].directional) {
      return {
        score: score - 0.25,
        verdict: word === 'clear' ? 'poor' : 'fair',
        text: `${text} The ${patterns[request.tie.pattern].label} makes it plain to see.`,
      };
    }
    const verdict: Verdict = word === 'clear' ? 'fair' : 'good';
    return collarClass.wants === 'large'
      ? { score: score + 0.1, verdict, text: `${text} The open collar hides it.` }
      : { score, verdict, text };
  },
};
