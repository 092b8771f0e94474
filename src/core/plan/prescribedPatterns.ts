import type { PatternCode } from '../tie/patterns.ts';

/** A range of patterns that an occasion can be held to. */
interface PrescribedPatterns {
  readonly label: string;
  readonly allows: readonly PatternCode[];
}

/** What a dress regulation may say of a tie's pattern. */
export const prescribedPatterns = {
  solid: { label: 'solid only', allows: ['solid'] },
  striped: { label: 'solid or striped', allows: ['solid', 'stripe'] },
  quiet: { label: 'solid, striped or neat', allows: ['solid', 'stripe', 'dots'] },
} as const satisfies Readonly<Record<string, PrescribedPatterns>>;

export type PrescribedPatternsCode = keyof typeof prescribedPatterns;
