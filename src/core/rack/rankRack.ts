import { type ColouredTie, judgeTie, type Outfit, type TieJudgement } from './judgeTie.ts';

export interface RankedTie {
  readonly id: string;
  readonly judgement: TieJudgement;
}

/**
 * Judges the ties of a rack one by one, so that whoever asks can show how far it got, and stop.
 * Put together with {@link bestTiesFirst}.
 */
export function* judgeRack(outfit: Outfit, ties: readonly (ColouredTie & { readonly id: string })[]): Generator<RankedTie> {
  for (const tie of ties) yield { id: tie.id, judgement: judgeTie(outfit, tie) };
}

/** Ties that can be worn by score, then the others by how near they come. */
export function bestTiesFirst(ranked: readonly RankedTie[]): RankedTie[] {
  return ranked.toSorted(({ judgement: a }, { judgement: b }) => b.score - a.score || missing(a) - missing(b) || b.landing - a.landing);
}

function missing({ best }: TieJudgement): number {
  return best.tailFault.kind === 'none' ? 0 : best.tailFault.byMm;
}
