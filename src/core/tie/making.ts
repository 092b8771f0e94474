/** How ties are made up. */
export const constructions = {
  'three-fold': { label: 'three-fold, interlined' },
  'six-fold': { label: 'six-fold' },
  'seven-fold': { label: 'seven-fold' },
  unlined: { label: 'unlined, hand-rolled' },
  knitted: { label: 'knitted' },
} as const;
export type Construction = keyof typeof constructions;

/** Where a tie is. Only one that hangs on the rack can be taken from it. */
export const tieStates = {
  rack: { label: 'on the rack' },
  out: { label: 'out' },
  resting: { label: 'resting' },
  repair: { label: 'in repair' },
} as const;
export type TieState = keyof typeof tieStates;
