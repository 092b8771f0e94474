/** How ties are constructed. */
export const constructions = {
  'three-fold': { label: 'three-fold, interlined' },
  'six-fold': { label: 'six-fold' },
  'seven-fold': { label: 'seven-fold' },
  unlined: { label: 'unlined, hand-rolled' },
  knitted: { label: 'knitted' },
} as const;
export type Construction = keyof typeof constructions;

/** Whether a tie can be had: only one in the wardrobe can. */
export const tieStates = {
  rack: { label: 'in the wardrobe' },
  out: { label: 'lent' },
  resting: { label: 'resting' },
  repair: { label: 'in repair' },
} as const;
export type TieState = keyof typeof tieStates;
