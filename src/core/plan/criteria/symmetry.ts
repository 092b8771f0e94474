import { leanDegOf } from '../../tying/shape.ts';
import type { Liking } from '../habits.ts';
import type { Criterion, Verdict } from './criterion.ts';

export type LeanWord = 'level' | 'slight' | 'clear';

const slightFromDeg = 10;
const clearFromDeg = 18;

/** The lean in words, from how the front stands: it is the least certain of the knot's measures, so no figure is shown. */
export function leanWord(leanDeg: number): LeanWord {
  const lean = Math.abs(leanDeg);
  return lean < slightFromDeg ? 'level' : lean < clearFromDeg ? 'slight' : 'clear';
}

const says: Readonly<Record<LeanWord, string>> = {
  level: 'Sits level.',
  slight: 'Leans slightly, which reads relaxed.',
  clear: 'Leans clearly, which reads relaxed.',
};

/** How a lean is liked, by whoever wears it. */
const scores: Readonly<Record<Liking['symmetry'], Readonly<Record<LeanWord, number>>>> = {
  either: { level: 1, slight: 0.85, clear: 0.65 },
  level: { level: 1, slight: 0.6, clear: 0.3 },
  relaxed: { level: 0.65, slight: 1, clear: 0.85 },
};

/** Does it sit level? A narrow collar shows a lean, a wide one hides it. */
export const symmetryCriterion: Criterion = {
  code: 'symmetry',
  weight: 0.1,
  judge: ({ shape, collarClass, request }) => {
    const word = leanWord(leanDegOf(shape));
    const { symmetry } = request.liking;
    const score = scores[symmetry][word];
    const text = says[word];
    if (word === 'level') {
      return symmetry === 'relaxed'
        ? { score, verdict: 'fair', text: `${text} The client prefers a lean.` }
        : { score, verdict: 'good', text };
    }
    const verdict: Verdict = score >= 0.8 ? 'good' : score >= 0.5 ? 'fair' : 'poor';
    return collarClass.wants === 'large'
      ? { score: Math.min(1, score + 0.1), verdict, text: `${text} The open collar hides it.` }
      : { score, verdict, text };
  },
};
