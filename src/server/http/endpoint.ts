import type { APIContext, APIRoute } from 'astro';
import { personCookie } from '../../contract/preferences.ts';
import type { PersonRecord, StudioRecord } from '../../contract/records/records.ts';
import { database, inTransaction, type Queryable } from '../database.ts';
import { whoAsks } from '../studios.ts';
import { answered, inJson } from './answer.ts';
import { bodyOf, type Takes } from './body.ts';
import type { Spool } from './spool.ts';

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

/** An endpoint that needs no records. */
export function endpoint(handle: (request: Sent) => unknown, takes?: Takes): APIRoute {
  return answering(async (context) => handle(await read(context, takes)));
}

/** An endpoint of the studio's records, told who asks; with `takes` it writes, in one transaction. */
export function studioEndpoint(handle: (asked: Asked) => unknown, takes?: Takes): APIRoute {
  return answering(async (context) => {
    const request = await read(context, takes);
    const ask = async (sql: Queryable) => handle({ ...request, ...(await whoAsks(sql, context.cookies.get(personCookie)?.value)), sql });
    try {
      return await (takes ? inTransaction(database(), ask) : ask(database()));
    } finally {
      if (takes?.content === 'file') await (request.body as Spool).close();
    }
  });
}

async function read({ request, params, url }: APIContext, takes: Takes | undefined): Promise<Sent> {
  return { url, params, body: takes ? await bodyOf(request, takes) : undefined };
}

function answering(handle: (context: APIContext) => Promise<unknown>): APIRoute {
  return async (context) => {
    const answer = await answered(context.url.pathname, async () => {
      const given = await handle(context);
      return given instanceof Response ? given : inJson(given);
    });
    return answer instanceof Response ? answer : new Response(answer.bytes, answer);
  };
}

export function json(body: unknown, status = 200): Response {
  const answer = inJson(body, status);
  return new Response(answer.bytes, answer);
}
