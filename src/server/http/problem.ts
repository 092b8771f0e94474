import type { ProblemBody } from '../../contract/problem.ts';
import type { Fault } from '../../core/measures/faults.ts';

/** A refusal that the caller can do something about: a status, a code, and a sentence. */
export class Problem extends Error {
  readonly status: number;
  readonly code: string;
  readonly fields: readonly Fault[];

  constructor(status: number, code: string, message: string, fields: readonly Fault[] = []) {
    super(message);
    this.name = 'Problem';
    this.status = status;
    this.code = code;
    this.fields = fields;
  }

  get body(): ProblemBody {
    return { error: { code: this.code, message: this.message, fields: this.fields } };
  }
}

/** A request whose fields are at fault; all of them at once. */
export function invalid(faults: readonly Fault[]): Problem {
  const count = faults.length === 1 ? 'One thing is' : `${faults.length} things are`;
  return new Problem(400, 'invalid', `${count} not right: ${faults.map(({ message }) => message).join(' ')}`, faults);
}

export function notFound(what: string): Problem {
  return new Problem(404, 'not-found', `There is no such ${what}.`);
}
