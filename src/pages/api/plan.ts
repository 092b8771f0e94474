import { checkPlanQuestion } from '../../contract/planQuestion.ts';
import { plan } from '../../core/index.ts';
import { readJson } from '../../server/http/body.ts';
import { endpoint } from '../../server/http/endpoint.ts';
import { invalid } from '../../server/http/problem.ts';

/** Ranks the knots for one client, outfit and tie, and says where each one starts. */
export const POST = endpoint(async ({ request }) => {
  const { value, faults } = checkPlanQuestion(await readJson(request));
  if (faults) throw invalid(faults);
  return plan(value);
});
