/** Lapels, as they are named. */
export const lapelKinds = {
  notch: { label: 'notch' },
  peak: { label: 'peak' },
  shawl: { label: 'shawl' },
} as const;
export type LapelKind = keyof typeof lapelKinds;

/** How the fronts close. */
export const jacketCuts = {
  single: { label: 'single-breasted' },
  double: { label: 'double-breasted' },
} as const;
export type JacketCut = keyof typeof jacketCuts;

export const jacketWorn = {
  open: { label: 'unbuttoned' },
  closed: { label: 'buttoned' },
} as const;
export type JacketWorn = keyof typeof jacketWorn;
