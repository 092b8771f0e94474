import { fromDevice } from '../../contract/offline.ts';
import { type ProblemBody, recordsUnreachable } from '../../contract/problem.ts';
import type { Fault } from '../../core/measures/faults.ts';
import { lineIs } from './line.ts';

/** The server refused, and says why. */
export class Refusal extends Error {
  readonly status: number;
  readonly faults: readonly Fault[];
  readonly code: string;
  /** What is kept now, where a change was made in between. */
  readonly current: unknown;

  constructor(status: number, { error }: ProblemBody) {
    super(error.message);
    this.status = status;
    this.faults = error.fields;
    this.code = error.code;
    this.current = error.current;
  }
}

/** The server, or the studio's records behind it, can't be reached just now. Worth trying again. */
export class Outage extends Error {}

/** What goes along: JSON, or a file as it is. */
interface Sent {
  readonly method: 'POST' | 'PUT';
  readonly body?: unknown;
  readonly file?: string | Blob;
}

/** The one way to ask the server. Throws a {@link Refusal} or an {@link Outage}. */
export async function ask<T>(path: string, send?: Sent): Promise<T> {
  let response: Response;
  try {
    response = await fetch(
      path,
      send
        ? {
            method: send.method,
            headers: { 'content-type': send.file === undefined ? 'application/json' : 'application/octet-stream' },
            body: send.file ?? JSON.stringify(send.body),
          }
        : {},
    );
  } catch {
    lineIs('down');
    throw new Outage('Ropewalk’s server doesn’t answer.');
  }
  if (!response.headers.has(fromDevice)) lineIs('up');
  const body: unknown = await response.json().catch(() => undefined);
  if (response.ok) return body as T;
  if (!isProblem(body)) throw new Outage('Ropewalk’s server gave no proper answer.');
  if (body.error.code === recordsUnreachable) throw new Outage(body.error.message);
  throw new Refusal(response.status, body);
}

function isProblem(body: unknown): body is ProblemBody {
  return typeof body === 'object' && body !== null && 'error' in body && typeof body.error === 'object';
}
