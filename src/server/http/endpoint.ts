import type { APIContext, APIRoute } from 'astro';
import { personCookie } from '../../contract/preferences.ts';
import { recordsUnreachable } from '../../contract/problem.ts';
import type { PersonRecord, StudioRecord } from '../../contract/records/records.ts';
import { database, inTransaction, isConnectionLoss, type Queryable } from '../database.ts';
import { log } from '../log.ts';
import { whoAsks } from '../studios.ts';
import { bytesUnderLimit, type Content, contentOf } from './body.ts';
import { Problem } from './problem.ts';

/** What every request comes with. */
export interface Sent {
  readonly url: URL;
  readonly params: Readonly<Record<string, string | undefined>>;
  /** What was sent along, read as the endpoint takes it. */
  readonly body: unknown;
}

/** A request to a studio: whose it is, who is dressing, and what its statements run on. */
export interface Asked extends Sent {
  readonly studio: StudioRecord;
  readonly person: PersonRecord | null;
  /** The pool for what only reads; for what writes a transaction, in which all of it happens or nothing. */
  readonly sql: Queryable;
}

/** The one content type that an endpoint takes, and how much of it. */
export interface Takes {
  readonly content: Content;
  readonly mostBytes?: number;
}

/** Far more than any request of ours needs. */
const mostBytes = 256 * 1024;

/** An endpoint that needs no records. */
export function endpoint(handle: (request: Sent) => unknown, takes?: Takes): APIRoute {
  return answering(async (context) => handle(await read(context, takes)));
}

/** An endpoint of the studio's records, told who asks; with `takes` it writes, in one transaction. */
export function studioEndpoint(handle: (asked: Asked) => unknown, takes?: Takes): APIRoute {
  return answering(async (context) => {
    const request = await read(context, takes);
    const ask = async (sql: Queryable) => handle({ ...request, ...(await whoAsks(sql, context.cookies.get(personCookie)?.value)), sql });
    return takes ? inTransaction(database(), ask) : ask(database());
  });
}

async function read({ request, params, url }: APIContext, takes: Takes | undefined): Promise<Sent> {
  const body = takes ? contentOf(takes.content, request, await bytesUnderLimit(request, takes.mostBytes ?? mostBytes)) : undefined;
  return { url, params, body };
}

/** Turns a handler's answer into JSON and its refusals into the one error shape. */
function answering(handle: (context: APIContext) => Promise<unknown>): APIRoute {
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
  // Bytes of a known length go out in one piece; text would be encoded and chunked on the way.
  const bytes = Buffer.from(JSON.stringify(body));
  return new Response(bytes, {
    status,
    headers: { 'content-type': 'application/json; charset=utf-8', 'content-length': String(bytes.length), 'cache-control': 'no-store' },
  });
}

export function problemOf(error: unknown): Problem {
  if (error instanceof Problem) return error;
  if (isConnectionLoss(error)) return new Problem(503, recordsUnreachable, 'The studio’s records can’t be reached just now.');
  return new Problem(500, 'internal', 'Something went wrong in Ropewalk itself. Nothing was changed.');
}
