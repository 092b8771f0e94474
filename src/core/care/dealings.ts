/** What can happen to a tie besides being tied at a fitting; `away` where it is not in the wardrobe meanwhile. */
export const dealings = {
  worn: { label: 'worn', away: false },
  lent: { label: 'lent', away: true },
  repair: { label: 'in repair', away: true },
  looped: { label: 'kept looped', away: false },
  aside: { label: 'laid aside', away: true },
} as const;
export type DealingCode = keyof typeof dealings;

/** One thing that happened to a tie. Days as `YYYY-MM-DD`. */
export interface Dealing {
  readonly what: DealingCode;
  /** Who wore it, or who has it. */
  readonly clientId: string | null;
  readonly fromOn: string;
  /** The day it was back, or undone; `null` while it lasts. What was worn was worn on its one day. */
  readonly untilOn: string | null;
}

/** Whether a tie is in the wardrobe, by what holds it on the day asked for: to be had, if not rested. */
export function isThere({ care: { held } }: { readonly care: { readonly held: Dealing | null } }): boolean {
  return held === null || !dealings[held.what].away;
}
