import { bladeOnLapel } from '../plan/criteria/lapel.ts';
import type { KnotPlan } from '../plan/knotPlan.ts';
import { plan, planKnot } from '../plan/plan.ts';
import { completeRequest, type PlanQuestion } from '../plan/request.ts';
import type { Tie } from '../tie/tie.ts';

/** A tie with the knots it would be worn in, best first. */
export interface TieWithKnots {
  readonly id: string;
  readonly knots: readonly KnotPlan[];
  /** How well the best of them and the blade go with the outfit; the higher the better. */
  readonly score: number;
}

type Question = Omit<PlanQuestion, 'tie'>;
type Hanging = Tie & { readonly id: string };

const knotPart = 0.7;
const mostKnots = 3;

/** Each tie with the one to three knots it does best, the best tie first: a wardrobe on one card. */
export function tiesWithTheirKnots(question: Question, ties: readonly Hanging[]): TieWithKnots[] {
  return best(
    question,
    ties.map((tie) => {
      const { knots } = plan({ ...question, tie });
      const seen = new Set<string>();
      const each = knots.filter(({ feasible, properties, moves }) => {
        const name = properties.family ?? moves;
        if (!feasible || seen.has(name)) return false;
        seen.add(name);
        return true;
      });
      return { tie, knots: each.length > 0 ? each.slice(0, mostKnots) : knots.slice(0, 1) };
    }),
  );
}

/** Each tie with the one knot that is given, the tie it suits best first. */
export function tiesForKnot(question: Question, ties: readonly Hanging[], moves: string): TieWithKnots[] {
  return best(
    question,
    ties.map((tie) => ({ tie, knots: [planKnot({ ...question, tie }, moves)] })),
  );
}

function best(question: Question, all: readonly { readonly tie: Hanging; readonly knots: readonly KnotPlan[] }[]): TieWithKnots[] {
  return all
    .map(({ tie, knots }): TieWithKnots => {
      const { jacket, rules } = completeRequest({ ...question, tie });
      const [first] = knots;
      const onLapel = jacket ? bladeOnLapel(tie.bladeMm, jacket.lapelMm, rules.lapelRule) : undefined;
      const ofKnot = first?.feasible ? first.score : (first?.score ?? 0) - 1;
      return { id: tie.id, knots, score: onLapel === undefined ? ofKnot : knotPart * ofKnot + (1 - knotPart) * onLapel };
    })
    .toSorted((a, b) => b.score - a.score);
}
