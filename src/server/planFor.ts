import { checkPlanQuestion } from '../contract/planQuestion.ts';
import type { KnotPlan } from '../core/plan/knotPlan.ts';
import { type Plan, plan } from '../core/plan/plan.ts';
import { invalid } from './http/problem.ts';

/** The ranking as it is answered. What a knot is in itself does not depend on the question: the list of knots has it. */
export interface PlanAnswer {
  readonly knots: readonly Omit<KnotPlan, 'properties' | 'steps'>[];
  readonly advice: Plan['advice'];
}

/** Ranks the knots for one client, outfit and tie, and says where each one starts; all that is wrong is refused at once. */
export function planFor(body: unknown): PlanAnswer {
  const { value, faults } = checkPlanQuestion(body);
  if (faults) throw invalid(faults);
  const { knots, advice } = plan(value);
  return { knots: knots.map(({ properties, steps, ...told }) => told), advice };
}
