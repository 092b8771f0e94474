import type { LearnerRecord, RehearsalRecord } from './records/records.ts';

/** Everyone who learns, by name, and all that they rehearsed, oldest first. */
export interface Practice {
  readonly learners: readonly LearnerRecord[];
  readonly rehearsals: readonly RehearsalRecord[];
}
