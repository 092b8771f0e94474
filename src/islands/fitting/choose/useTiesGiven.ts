import { useDeferredValue, useMemo } from 'react';
import type { TieRecord } from '../../../contract/records/records.ts';
import type { PlanQuestion } from '../../../core/index.ts';
import { type TieWithKnots, tiesForKnot, tiesWithTheirKnots } from '../../../core/wardrobe/tiesWithKnots.ts';
import { anotherTie, withLessons } from '../../atHand/lessons.ts';
import { useAsked } from '../../atHand/useAtHand.ts';

export type ListedTie = TieWithKnots & { readonly tie: TieRecord };

/** The ties that can be worn just now, best first: each with the knot that is given, or with those it does best. */
export function useTiesGiven(knot?: string): readonly ListedTie[] {
  const { question, untaught, wardrobe, values } = useAsked();
  const ties = useMemo(() => wardrobe.ties.filter(({ state }) => state === 'rack'), [wardrobe.ties]);
  const asked = useDeferredValue(question);
  const learnt = useDeferredValue(useMemo(() => withLessons(untaught, values.attempts, anotherTie).question, [untaught, values.attempts]));
  const own = values.tie.id;
  return useMemo(() => {
    const best = ({ tie: _, ...outfit }: PlanQuestion, hanging: readonly TieRecord[]) =>
      knot === undefined ? tiesWithTheirKnots(outfit, hanging) : tiesForKnot(outfit, hanging, knot);
    const byId = new Map(ties.map((tie) => [tie.id, tie]));
    // Of the tie at hand more was learnt than of the others.
    const listed = [
      ...best(
        asked,
        ties.filter(({ id }) => id === own),
      ),
      ...best(
        learnt,
        ties.filter(({ id }) => id !== own),
      ),
    ];
    return listed
      .toSorted((a, b) => b.score - a.score)
      .flatMap((each) => {
        const tie = byId.get(each.id);
        return tie ? [{ ...each, tie }] : [];
      });
  }, [asked, learnt, own, ties, knot]);
}
