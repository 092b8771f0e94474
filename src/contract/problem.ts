import type { Fault } from '../core/measures/faults.ts';

/** Every refusal of the server has this one shape. */
export interface ProblemBody {
  readonly error: {
    readonly code: string;
    readonly message: string;
    readonly fields: readonly Fault[];
    /** What is kept now, where a change was made in between. */
    readonly current?: unknown;
  };
}

/** Someone else changed the record since it was read. */
export const changedInBetween = 'changed-meanwhile';

export const recordsUnreachable = 'records-unreachable';
