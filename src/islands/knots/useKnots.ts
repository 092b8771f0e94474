import { useMemo } from 'react';
import { checkPlanQuestion } from '../../contract/planQuestion.ts';
import { completeRequest, type PlanQuestion, type PlanRequest } from '../../core/index.ts';
import { type MappedKnot, mappedKnots } from '../../core/knotMap/mappedKnots.ts';
import type { LengthUnit } from '../../core/units/length.ts';
import type { AtHand } from '../atHand/values.ts';

export interface KnotsAtHand {
  readonly question: PlanQuestion;
  readonly request: PlanRequest;
  readonly knots: readonly MappedKnot[];
}

/** Which knots are laid out: a family, and words besides. */
export type Laying = Partial<Pick<PlanRequest['taste'], 'manner' | 'also'>>;

/** Every knot with the tie and the client that stand on the bench, called as the studio calls it; `undefined` while a measure is at fault. */
export function useKnots(values: AtHand, units: LengthUnit, called: ReadonlyMap<string, string>, lay: Laying): KnotsAtHand | undefined {
  const asked = JSON.stringify({ ...values.question, taste: { ...values.question.taste, ...lay }, units });
  return useMemo(() => {
    const { value } = checkPlanQuestion(JSON.parse(asked));
    if (!value) return undefined;
    const knots = mappedKnots(value).map((knot) => ({ ...knot, title: called.get(knot.plan.moves) ?? knot.title }));
    return { question: value, request: completeRequest(value), knots };
  }, [asked, called]);
}
