import { fabrics } from '../../tie/fabrics.ts';
import { patterns } from '../../tie/patterns.ts';
import { leanDegOf } from '../../tying/shape.ts';
import { dressCodes } from '../dressCodes.ts';
import type { PlanRequest } from '../request.ts';
import type { Criterion, Situation } from './criterion.ts';
import { type LeanWord, leanWord } from './symmetry.ts';

/** A level knot reads formal, a lean relaxed; a panel or a knot of the tail is for a party. */
const ofLean: Readonly<Record<LeanWord, number>> = { level: 1, slight: 0.8, clear: 0.6 };
const ofPanel = 0.6;
const ofTail = 0.45;
/** Off by this much of the scale is clearly wrong, and by twice as much beyond all liking. */
const clearlyOff = 0.15;

/** How formal a tie reads by its fabric and pattern, 0 to 1. */
function formalityOfTie({ fabric, pattern }: PlanRequest['tie']): number {
  return Math.min(fabrics[fabric].formality, (fabrics[fabric].formality + patterns[pattern].formality) / 2 + 0.1);
}

function formalityOfKnot({ properties, shape }: Pick<Situation, 'properties' | 'shape'>): number {
  const finished = properties.active === 'narrow' ? ofTail : properties.finish === 'open' ? ofPanel : 1;
  return Math.min(finished, ofLean[leanWord(leanDegOf(shape))]);
}

/** Do tie and knot suit the dress code? Silent where none was said. */
export const dressCriterion: Criterion = {
  code: 'dress',
  weight: 0.08,
  judge: (situation) => {
    const { tie, occasion } = situation.request;
    if (occasion.dressCode === null) return undefined;
    const { formality, occasion: named } = dressCodes[occasion.dressCode];
    const knot = formalityOfKnot(situation);
    if (formality === null)
      return { score: knot, verdict: knot === 1 ? 'good' : 'fair', text: 'For uniform: the service’s current regulation decides.' };
    const [from, to] = formality;
    const ofTie = formalityOfTie(tie);
    // The less formal of the two is what is seen.
    const low = Math.min(knot, ofTie);
    const off = Math.max(0, from - low, low - to);
    const score = Math.max(0, 1 - off / (2 * clearlyOff));
    const verdict = off === 0 ? 'good' : off < clearlyOff ? 'fair' : 'poor';
    const cloth = `${fabrics[tie.fabric].label}, ${patterns[tie.pattern].label}`;
    if (off === 0) return { score, verdict, text: `Right for ${named}: ${cloth}.` };
    if (low > to) return { score, verdict, text: `More formal than ${named} asks for: ${cloth}, and a level knot.` };
    const which = ofTie <= knot ? `the tie (${cloth})` : 'the knot';
    return { score, verdict, text: `For ${named}, ${which} reads ${off < clearlyOff ? 'a little' : 'too'} relaxed.` };
  },
};
