import { useDeferredValue, useMemo } from 'react';
import type { TieAtHand } from '../../../contract/records/records.ts';
import { isThere } from '../../../core/care/dealings.ts';
import type { PlanQuestion } from '../../../core/index.ts';
import { type TieWithKnots, tiesForKnot, tiesWithTheirKnots } from '../../../core/wardrobe/tiesWithKnots.ts';
import { withLessons } from '../../atHand/lessons.ts';
import { useAsked } from '../../atHand/useAtHand.ts';

export type ListedTie = TieWithKnots & { readonly tie: TieAtHand };

/** The ties that can be worn just now, best first: each with the knot that is given, or with those it does best. */
export function useTiesGiven(knot?: string): readonly ListedTie[] {
  const { untaught, wardrobe, lessons, learnt } = useAsked();
  const ties = useMemo(() => wardrobe.ties.filter(isThere), [wardrobe.ties]);
  const standing = useDeferredValue(useMemo(() => ({ untaught, lessons, learnt }), [untaught, lessons, learnt]));
  return useMemo(() => {
    const best = ({ tie: _, ...outfit }: PlanQuestion, hanging: readonly TieAtHand[]) =>
      knot === undefined ? tiesWithTheirKnots(outfit, hanging) : tiesForKnot(outfit, hanging, knot);
    const byId = new Map(ties.map((tie) => [tie.id, tie]));
    // Of some ties more was learnt than of others.
    const listed = ties.flatMap((tie) => best(withLessons(standing.untaught, standing.lessons, tie.id, standing.learnt).question, [tie]));
    return listed
      .toSorted((a, b) => b.score - a.score)
      .flatMap((each) => {
        const tie = byId.get(each.id);
        return tie ? [{ ...each, tie }] : [];
      });
  }, [standing, ties, knot]);
}
