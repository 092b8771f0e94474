/** How ties are constructed. */
export const constructions = {
  'three-fold': { label: 'three-fold, interlined' },
  'six-fold': { label: 'six-fold' },
  'seven-fold': { label: 'seven-fold' },
  unlined: { label: 'unlined, hand-rolled' },
  knitted: { label: 'knitted' },
} as const;
export type Construction = keyof typeof constructions;
