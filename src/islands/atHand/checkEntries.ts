import type { FindingCode, LeanCode, LookCode, VerdictCode } from '../../core/fitbook/findings.ts';

/** What was seen at the inspection so far; a look that was not taken is neither in order nor found wanting. */
export interface CheckEntries {
  /** Against the belt top, lower is positive. */
  readonly tipOffMm: number | null;
  readonly tailEndMm: number | null;
  /** Where the start was set, if not where it was told. */
  readonly setMm: number | null;
  readonly topMm: number | null;
  readonly bottomMm: number | null;
  readonly heightMm: number | null;
  readonly depthMm: number | null;
  readonly lean: LeanCode | null;
  readonly fine: readonly LookCode[];
  readonly findings: readonly FindingCode[];
  readonly minutes: number | null;
  readonly clientVerdict: VerdictCode | null;
  readonly stylistVerdict: VerdictCode | null;
}

export const unchecked: CheckEntries = {
  tipOffMm: null,
  tailEndMm: null,
  setMm: null,
  topMm: null,
  bottomMm: null,
  heightMm: null,
  depthMm: null,
  lean: null,
  fine: [],
  findings: [],
  minutes: null,
  clientVerdict: null,
  stylistVerdict: null,
};
