import type { APIContext, APIRoute } from 'astro';
import { personCookie } from '../../contract/preferences.ts';
import type { PersonRecord, StudioRecord } from '../../contract/records/records.ts';
import { database, inTransaction, type Queryable } from '../database.ts';
import { reading, writtenSoFar } from '../reading.ts';
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

/** Up to where whoever asks has written: they are shown nothing from before. */
export const writtenCookie = 'ropewalk-written';
/** By then any replica has it, or is told as behind by other means. */
const writtenSeconds = 600;

/** An endpoint that needs no records. */
export function endpoint(handle: (request: Sent) => unknown, takes?: Takes): APIRoute {
  return answering(async (context) => handle(await read(context, takes)));
}

/** An endpoint of the studio's records, told who asks; with `takes` it writes, in one transaction. */
export function studioEndpoint(handle: (asked: Asked) => unknown, takes?: Takes): APIRoute {
  return answering(async (context) => {
    const request = await read(context, takes);
    const { cookies } = context;
    const ask = async (sql: Queryable) => handle({ ...request, ...(await whoAsks(sql, cookies.get(personCookie)?.value)), sql });
    try {
      if (!takes) return await reading(cookies.get(writtenCookie)?.value, ask);
      const answer = await inTransaction(database(), ask);
      const place = await writtenSoFar().catch(() => undefined);
      if (place) cookies.set(writtenCookie, place, { path: '/', httpOnly: true, sameSite: 'strict', maxAge: writtenSeconds });
      return answer;
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
