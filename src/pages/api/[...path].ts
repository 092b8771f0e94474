import { endpoint } from '../../server/http/endpoint.ts';
import { Problem } from '../../server/http/problem.ts';

/** Unknown addresses under /api answer in the same shape as every other refusal. */
export const ALL = endpoint(({ url }) => {
  throw new Problem(404, 'not-found', `There is nothing at ${url.pathname}.`);
});
