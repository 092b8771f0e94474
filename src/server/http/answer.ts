import { recordsUnreachable } from '../../contract/problem.ts';
import { isConnectionLoss } from '../database.ts';
import { log } from '../log.ts';
import { Problem } from './problem.ts';

/** An answer in JSON, whoever carries it. */
export interface Answer {
  readonly status: number;
  readonly headers: Readonly<Record<string, string>>;
  readonly bytes: Buffer<ArrayBuffer>;
}

/** What was worked out, or the refusal that came of it, in the one error shape. */
export async function answered<T>(path: string, handle: () => Promise<T>): Promise<T | Answer> {
  try {
    return await handle();
  } catch (error) {
    const problem = problemOf(error);
    if (problem.status >= 500) log.error({ err: error, path }, problem.message);
    return inJson(problem.body, problem.status);
  }
}

export function inJson(body: unknown, status = 200): Answer {
  // Bytes of a known length go out in one piece; text would be encoded and chunked on the way.
  const bytes = Buffer.from(JSON.stringify(body));
  return {
    status,
    headers: { 'content-type': 'application/json; charset=utf-8', 'content-length': String(bytes.length), 'cache-control': 'no-store' },
    bytes,
  };
}

function problemOf(error: unknown): Problem {
  if (error instanceof Problem) return error;
  if (isConnectionLoss(error)) return new Problem(503, recordsUnreachable, 'The studio’s records can’t be reached just now.');
  return new Problem(500, 'internal', 'Something went wrong in Ropewalk itself. Nothing was changed.');
}
