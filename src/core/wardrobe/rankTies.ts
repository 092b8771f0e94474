import { type ColouredTie, judgeTie, type Outfit, type TieJudgement } from './judgeTie.ts';

/** Where a tie stands on a rack that was judged: as little as a list of hundreds needs of it. */
export interface RankedTie {
  readonly id: string;
  readonly score: number;
  readonly feasible: boolean;
  /** How many of the knots asked for can be worn with it. */
  readonly landing: number;
  /** How far the knot that comes nearest misses being worn, mm; 0 where one can be. */
  readonly missingMm: number;
  /** The knot it does best: its name, or how many moves it has. */
  readonly best: string;
}

/**
 * Judges the ties of a rack one by one, so that whoever asks can show how far it got, and stop.
 * Put together with {@link bestTiesFirst}.
 */
export function* judgeTies(outfit: Outfit, ties: readonly (ColouredTie & { readonly id: string })[]): Generator<RankedTie> {
  for (const tie of ties) yield ranked(tie.id, judgeTie(outfit, tie));
}

function ranked(id: string, { score, feasible, landing, best }: TieJudgement): RankedTie {
  const { names, properties, tailFault } = best;
  return {
    id,
    score,
    feasible,
    landing,
    missingMm: tailFault.kind === 'none' ? 0 : tailFault.byMm,
    best: names[0] ?? `${properties.moves} moves`,
  };
}

/** Ties that can be worn by score, then the others by how near they come. */
export function bestTiesFirst(all: readonly RankedTie[]): RankedTie[] {
  return all.toSorted((a, b) => b.score - a.score || a.missingMm - b.missingMm || b.landing - a.landing);
}
