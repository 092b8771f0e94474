import { changedInBetween, type ProblemBody } from '../../contract/problem.ts';
import type { Fault } from '../../core/measures/faults.ts';

/** A refusal that the caller can do something about: a status, a code, and a sentence. */
export class Problem extends Error {
  readonly status: number;
  readonly code: string;
  readonly fields: readonly Fault[];
  readonly current: unknown;

  constructor(status: number, code: string, message: string, fields: readonly Fault[] = [], current?: unknown) {
    super(message);
    this.name = 'Problem';
    this.status = status;
    this.code = code;
    this.fields = fields;
    this.current = current;
  }

  get body(): ProblemBody {
    const { code, message, fields, current } = this;
    return { error: { code, message, fields, ...(current === undefined ? {} : { current }) } };
  }
}

/** A request whose fields are at fault; all of them at once. */
export function invalid(faults: readonly Fault[]): Problem {
  const count = faults.length === 1 ? '1 error' : `${faults.length} errors`;
  return new Problem(400, 'invalid', `${count}: ${faults.map(({ message }) => message).join(' ')}`, faults);
}

export function notFound(what: string): Problem {
  return new Problem(404, 'not-found', `This ${what} was not found.`);
}

/** A change from a version that is no longer the latest; `current` is the record as it is kept now. */
export function changedMeanwhile(what: string, current: unknown): Problem {
  return new Problem(409, changedInBetween, `Someone else changed this ${what} meanwhile. Nothing was overwritten.`, [], current);
}

/** Another record has this identifier. */
export function taken(what: string): Problem {
  return new Problem(409, 'taken', `Another ${what} is there already under this identifier. Nothing was changed.`);
}

export function nothingAt(url: URL): Problem {
  return new Problem(404, 'not-found', `${url.pathname} was not found.`);
}
