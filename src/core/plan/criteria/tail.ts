import { piecewise } from '../../numeric/piecewise.ts';
import { shortOfKeeper } from '../tail.ts';
import type { Criterion, Judgement, Situation } from './criterion.ts';

const nearlyLevelMm = 40;

/** How a tail that misses the keeper is liked, by how far it misses it, mm: a little can be drawn, a lot must be tucked away. */
const likingOfMiss = piecewise([
  [0, 0.9],
  [80, 0.5],
]);

/** Does enough narrow end remain, and does it stay out of sight? */
export const tailCriterion: Criterion = {
  code: 'narrow-end',
  weight: 0.18,
  judge: (situation) => ruledOut(situation) ?? worn(situation),
};

function ruledOut({ tailFault, properties, say }: Situation): Judgement | undefined {
  switch (tailFault.kind) {
    case 'none':
      return undefined;
    case 'too-short': {
      const by = say(tailFault.byMm);
      return {
        score: 0,
        verdict: 'poor',
        text: `Cannot be done: ${by} too little is left of the narrow end to hold. A tie ${by} longer, or a knot with fewer moves, would do.`,
      };
    }
    case 'peeps-out': {
      const by = say(tailFault.byMm);
      if (properties.active === 'narrow') {
        return {
          score: 0,
          verdict: 'poor',
          text: `Cannot be done: ${by} more of the narrow end is left than goes under the collar. More moves, or a tie ${by} shorter, would do.`,
        };
      }
      return {
        score: 0,
        verdict: 'poor',
        text: `Cannot be done: the narrow end would show below the blade, ${by} too long. A knot that takes up ${by} more, an extra turn, or a tie ${by} shorter would do.`,
      };
    }
  }
}

function worn({ tail, landing, properties, request, say }: Situation): Judgement {
  if (properties.active === 'narrow') {
    return { score: 0.9, verdict: 'good', text: 'What is left of the narrow end goes under the collar.' };
  }
  if (!tail.hidden) {
    return {
      score: 0.5,
      verdict: 'fair',
      text: `The narrow end hangs lower than the blade; the ${request.jacket?.waistcoat ? 'waistcoat' : 'closed jacket'} hides it.`,
    };
  }
  if (tail.reachesKeeper) {
    const level = landing.dropMm - tail.dropMm <= nearlyLevelMm;
    return {
      score: 1,
      verdict: 'good',
      text: level
        ? 'The narrow end goes through the keeper, and both ends finish nearly level.'
        : 'The narrow end goes through the keeper and stays hidden.',
    };
  }
  const shortMm = shortOfKeeper(tail, landing.dropMm, request.tie.keeperMm);
  const short = say(shortMm);
  const above = request.shirt.buttonsMm.findLastIndex((at) => at < tail.dropMm);
  return above >= 0
    ? {
        score: likingOfMiss(shortMm),
        verdict: 'fair',
        text: `The narrow end misses the keeper by ${short}: slip it between two shirt buttons.`,
      }
    : { score: 0.2, verdict: 'poor', text: `The narrow end misses the keeper by ${short} and is too short to tuck away.` };
}
