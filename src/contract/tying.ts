/** What a tying was before a change of it. */
export interface TyingBefore {
  readonly version: number;
  /** Its columns as they were. */
  readonly was: Readonly<Record<string, unknown>>;
  /** Whether it was deleted then. */
  readonly deleted: boolean;
  /** ISO 8601. */
  readonly changedAt: string;
}
