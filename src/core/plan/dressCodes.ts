/** What a dress code asks of a tie and its knot. */
export interface DressCode {
  readonly label: string;
  /** As it stands in a sentence: “for …”. */
  readonly occasion: string;
  /** How formal tie and knot should read, from 0 (a day off) to 1 (evening); `null` where somebody else decides. Priors. */
  readonly formality: readonly [from: number, to: number] | null;
}

/** How an occasion asks to be dressed for. */
export const dressCodes = {
  relaxed: { label: 'relaxed', occasion: 'a relaxed occasion', formality: [0, 0.8] },
  business: { label: 'business', occasion: 'business', formality: [0.5, 0.97] },
  formal: { label: 'formal', occasion: 'a formal occasion', formality: [0.8, 1] },
  uniform: { label: 'uniform: the service’s current rules decide', occasion: 'uniform', formality: null },
} as const satisfies Record<string, DressCode>;

export type DressCodeKey = keyof typeof dressCodes;
