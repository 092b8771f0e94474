import type { Fault } from '../core/measures/faults.ts';

/** Every refusal of the server has this one shape. */
export interface ProblemBody {
  readonly error: {
    readonly code: string;
    readonly message: string;
    readonly fields: readonly Fault[];
  };
}

export const recordsUnreachable = 'records-unreachable';
