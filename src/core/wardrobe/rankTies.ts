import { type ColouredTie, judgeTie, type Outfit, type TieJudgement } from './judgeTie.ts';

/** Where a tie stands among others that were judged: as little as a list of hundreds needs of it. */
export interface RankedTie {
  readonly id: string;
  readonly score: number;
  readonly feasible: boolean;
  /** How many of the knots asked for work with it. */
  readonly landing: number;
  /** How far the knot that comes nearest misses working, mm; 0 where one works. */
  readonly missingMm: number;
  /** The knot it does best, by its title. */
  readonly best: string;
}

/**
 * Judges ties one by one, so that whoever asks can show how far it got, and stop.
 * Put together with {@link bestTiesFirst}.
 */
export function* judgeTies(outfit: Outfit, ties: readonly (ColouredTie & { readonly id: string })[]): Generator<RankedTie> {
  for (const tie of ties) yield ranked(tie.id, judgeTie(outfit, tie));
}

function ranked(id: string, { score, feasible, landing, best }: TieJudgement): RankedTie {
  const { title, refusal } = best;
  return {
    id,
    score,
    feasible,
    landing,
    missingMm: refusal?.byMm ?? 0,
    best: title,
  };
}

/** Ties that work by score, then the others by how near they come. */
export function bestTiesFirst(all: readonly RankedTie[]): RankedTie[] {
  return all.toSorted((a, b) => b.score - a.score || a.missingMm - b.missingMm || b.landing - a.landing);
}
