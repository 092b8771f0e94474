import { checkPlanQuestion } from '../../contract/planQuestion.ts';
import { plan } from '../../core/index.ts';
import { endpoint } from '../../server/http/endpoint.ts';
import { invalid } from '../../server/http/problem.ts';

/** Ranks the knots for one client, outfit and tie, and says where each one starts. */
export const POST = endpoint(
  ({ body }) => {
    const { value, faults } = checkPlanQuestion(body);
    if (faults) throw invalid(faults);
    return plan(value);
  },
  { content: 'json' },
);
