import { checkPlanQuestion } from '../contract/planQuestion.ts';
import { type Plan, plan } from '../core/plan/plan.ts';
import { invalid } from './http/problem.ts';

/** Ranks the knots for one client, outfit and tie, and says where each one starts; all that is wrong is refused at once. */
export function planFor(body: unknown): Plan {
  const { value, faults } = checkPlanQuestion(body);
  if (faults) throw invalid(faults);
  return plan(value);
}
