import { useMemo } from 'react';
import type { PlanQuestion, PlanRequest } from '../../core/index.ts';
import { type MappedKnot, mappedKnots } from '../../core/knotMap/mappedKnots.ts';

/** Which knots are laid out: a family, and moves besides. */
export type Laying = Partial<Pick<PlanRequest['search'], 'manner' | 'also'>>;

/** Every knot of what is asked, called as the studio calls it. */
export function useKnots(question: PlanQuestion, called: ReadonlyMap<string, string>, lay: Laying): readonly MappedKnot[] {
  const mapped = useMemo(() => mappedKnots({ ...question, search: { ...question.search, ...lay } }), [question, lay]);
  return useMemo(() => mapped.map((knot) => ({ ...knot, title: called.get(knot.plan.moves) ?? knot.title })), [mapped, called]);
}
