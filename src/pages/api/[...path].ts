import { endpoint } from '../../server/http/endpoint.ts';
import { nothingAt } from '../../server/http/problem.ts';

/** Unknown addresses under /api answer in the same shape as every other refusal. */
export const ALL = endpoint(({ url }) => {
  throw nothingAt(url);
});
