import type { APIContext, APIRoute } from 'astro';
import { recordsUnreachable } from '../../contract/problem.ts';
import { isConnectionLoss } from '../database.ts';
import { log } from '../log.ts';
import { Problem } from './problem.ts';

/** Turns a handler's answer into JSON and its refusals into the one error shape. */
export function endpoint(handle: (context: APIContext) => unknown): APIRoute {
  return async (context) => {
    try {
      const answer = await handle(context);
      return answer instanceof Response ? answer : json(answer);
    } catch (error) {
      const problem = problemOf(error);
      if (problem.status >= 500) log.error({ err: error, path: context.url.pathname }, problem.message);
      return json(problem.body, problem.status);
    }
  };
}

export function json(body: unknown, status = 200): Response {
  return new Response(JSON.stringify(body), {
    status,
    headers: { 'content-type': 'application/json; charset=utf-8', 'cache-control': 'no-store' },
  });
}

function problemOf(error: unknown): Problem {
  if (error instanceof Problem) return error;
  if (isConnectionLoss(error)) return new Problem(503, recordsUnreachable, 'The studio’s records cannot be reached just now.');
  return new Problem(500, 'internal', 'Something went wrong in Ropewalk itself. Nothing was changed.');
}
