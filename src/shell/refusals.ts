import type { RequestHandler } from 'express';
import type { ProblemBody } from '../contract/problem.ts';

/** The one error shape, for what is refused before any page or endpoint sees it. */
export function problem(code: string, message: string): ProblemBody {
  return { error: { code, message, fields: [] } };
}

/**
 * Answers only to the names the server is known by, so that a page elsewhere whose name was made to point here can't
 * read what it answers. `names` are host names without their ports.
 */
export function onlyForHosts(names: readonly string[]): RequestHandler {
  return (request, response, next) => {
    if (names.includes(hostName(request.headers.host))) return next();
    response.status(421).json(problem('wrong-host', 'This server doesn’t answer under that name.'));
  };
}

function hostName(host: string | undefined): string {
  return (host ?? '').toLowerCase().replace(/:\d+$/, '');
}

const reading: ReadonlySet<string> = new Set(['GET', 'HEAD', 'OPTIONS']);

/** Lets nothing be changed by a page of another origin: browsers say where a request comes from. */
export const onlyFromHere: RequestHandler = (request, response, next) => {
  if (reading.has(request.method)) return next();
  const { origin, host } = request.headers;
  const isElsewhere =
    request.headers['sec-fetch-site'] === 'cross-site' || (origin !== undefined && originHost(origin) !== host?.toLowerCase());
  if (!isElsewhere) return next();
  response.status(403).json(problem('wrong-origin', 'Nothing was changed: the request came from another site.'));
};

function originHost(origin: string): string | undefined {
  try {
    return new URL(origin).host;
  } catch {
    return undefined;
  }
}

/** What endpoints answer to, and what pages do: they would be drawn for any method. */
const endpoints: ReadonlySet<string> = new Set([...reading, 'POST', 'PUT']);
const pages: ReadonlySet<string> = new Set(['GET', 'HEAD']);

/** Refuses methods that nothing here answers to, and addresses that can’t be read. */
export const onlyKnownWays: RequestHandler = (request, response, next) => {
  const known = request.path.startsWith('/api/') ? endpoints : pages;
  if (!known.has(request.method)) {
    response.setHeader('allow', [...known].join(', '));
    response.status(405).json(problem('not-allowed', `Nothing here answers to ${request.method}.`));
    return;
  }
  try {
    const read = decodeURI(request.path);
    // What is read and still encoded means to be read twice, by somebody who reads it otherwise.
    if (read !== request.path && /%[0-9a-f]{2}/i.test(read)) throw new URIError();
    next();
  } catch {
    response.status(400).json(problem('bad-address', 'The address can’t be read.'));
  }
};
