import { piecewise } from '../../numeric/piecewise.ts';
import { chanceInWords } from '../chance.ts';
import { nearTipMm, type Refusal, shortOfKeeper } from '../tail.ts';
import type { Criterion, Judgement, Situation } from './criterion.ts';

const nearlyLevelMm = 40;

/** How a tail that misses the keeper is liked, by how far it misses it, mm: a little can be drawn, a lot must be tucked away. */
const likingOfMiss = piecewise([
  [0, 0.9],
  [80, 0.5],
]);

/** A tail planned to end in its place costs nothing, however near its edge; one planned to miss counts as much as it may still work. */
const evens = 0.5;

/** Does enough of the tail remain, and does it stay out of sight? */
export const tailCriterion: Criterion = {
  code: 'tail',
  weight: 0.18,
  judge: (situation) =>
    situation.refusal
      ? { score: 0, verdict: 'poor', text: refusalInWords(situation.refusal, situation.say) }
      : { ...worn(situation), leaves: Math.min(1, situation.tail.works / evens) },
};

/** Why a knot won't work with a tie, by how much, and what would. */
export function refusalInWords({ code, byMm }: Refusal, say: (mm: number) => string): string {
  const by = say(byMm);
  switch (code) {
    case 'tail-too-short':
      return `Won’t work: the tail would be ${by} too short to hold. Use a knot with fewer moves, or a longer tie.`;
    case 'tail-below-blade':
      return `Won’t work: the tail would hang ${by} too low. Use a knot that takes up more, or a shorter tie.`;
    case 'tail-too-long-to-hide':
      return `Won’t work: ${by} more of the tail would be left than goes under the collar. Use more moves, or a shorter tie.`;
  }
}

function worn({ tail, landing, properties, request, say }: Situation): Judgement {
  if (properties.active === 'narrow') {
    return { score: 0.9, verdict: 'good', text: 'What is left of the tail goes under the collar.' };
  }
  const below = tail.dropMm - landing.dropMm;
  if (!tail.hidden) {
    const hider = request.jacket?.waistcoat ? 'waistcoat' : request.jacket?.worn === 'closed' ? 'buttoned jacket' : undefined;
    return hider
      ? { score: 0.5, verdict: 'fair', text: `The tail hangs ${say(below)} below the blade; the ${hider} hides it.` }
      : { score: 0.5, verdict: 'fair', text: `The tail may show below the blade: it stays hidden ${chanceInWords(tail.works)}.` };
  }
  if (tail.reachesKeeper) {
    const level =
      -below <= nearTipMm ? 'ends level with the blade' : -below <= nearlyLevelMm ? 'ends nearly level with the blade' : 'stays hidden';
    return { score: 1, verdict: 'good', text: `The tail goes through the keeper and ${level}.` };
  }
  const shortMm = shortOfKeeper(tail, landing.dropMm, request.tie.keeperMm);
  const short = say(shortMm);
  const above = request.shirt.buttonsMm.findLastIndex((at) => at < tail.dropMm);
  return above >= 0
    ? {
        score: likingOfMiss(shortMm),
        verdict: 'fair',
        text: `The tail misses the keeper by ${short}: slip it between two shirt buttons.`,
      }
    : { score: 0.2, verdict: 'poor', text: `The tail misses the keeper by ${short} and is too short to tuck away.` };
}
