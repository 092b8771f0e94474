import { useDeferredValue, useMemo } from 'react';
import type { TieRecord } from '../../../contract/records/records.ts';
import { type TieWithKnots, tiesForKnot, tiesWithTheirKnots } from '../../../core/wardrobe/tiesWithKnots.ts';
import { useAsked } from '../../atHand/useAtHand.ts';

export type ListedTie = TieWithKnots & { readonly tie: TieRecord };

/** The ties that can be worn just now, best first: each with the knot that is given, or with those it does best. */
export function useTiesGiven(knot?: string): readonly ListedTie[] {
  const { question, wardrobe } = useAsked();
  const ties = useMemo(() => wardrobe.ties.filter(({ state }) => state === 'rack'), [wardrobe.ties]);
  const asked = useDeferredValue(question);
  return useMemo(() => {
    const { tie: _, ...outfit } = asked;
    const byId = new Map(ties.map((tie) => [tie.id, tie]));
    const listed = knot === undefined ? tiesWithTheirKnots(outfit, ties) : tiesForKnot(outfit, ties, knot);
    return listed.flatMap((each) => {
      const tie = byId.get(each.id);
      return tie ? [{ ...each, tie }] : [];
    });
  }, [asked, ties, knot]);
}
