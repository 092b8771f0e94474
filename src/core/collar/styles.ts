/** Where a collar's measures start from, before a tape is laid on it. Lengths in mm. */
export interface CollarStyle {
  readonly label: string;
  readonly collarPointMm: number;
  readonly collarSpreadMm: number;
  readonly tieSpaceMm: number;
  /** Height of the band at the button. */
  readonly standMm: number;
  /** Points that are fastened keep the tie's neck band covered. */
  readonly pointsHeld: boolean;
}

/** The collars that stylists name, from the narrowest opening to the widest, then those with fastened points. */
export const collarStyles = {
  'long-point': { label: 'long point', collarPointMm: 90, collarSpreadMm: 72, tieSpaceMm: 4, standMm: 34, pointsHeld: false },
  point: { label: 'point', collarPointMm: 75, collarSpreadMm: 70, tieSpaceMm: 5, standMm: 32, pointsHeld: false },
  'semi-spread': { label: 'semi-spread', collarPointMm: 75, collarSpreadMm: 110, tieSpaceMm: 8, standMm: 34, pointsHeld: false },
  'wide-spread': { label: 'wide spread', collarPointMm: 75, collarSpreadMm: 135, tieSpaceMm: 10, standMm: 36, pointsHeld: false },
  cutaway: { label: 'cutaway', collarPointMm: 75, collarSpreadMm: 150, tieSpaceMm: 12, standMm: 38, pointsHeld: false },
  club: { label: 'club, rounded', collarPointMm: 62, collarSpreadMm: 82, tieSpaceMm: 6, standMm: 33, pointsHeld: false },
  'button-down': { label: 'button-down', collarPointMm: 82, collarSpreadMm: 88, tieSpaceMm: 8, standMm: 34, pointsHeld: true },
  tab: { label: 'tab', collarPointMm: 68, collarSpreadMm: 62, tieSpaceMm: 4, standMm: 34, pointsHeld: true },
  pin: { label: 'pinned', collarPointMm: 72, collarSpreadMm: 66, tieSpaceMm: 5, standMm: 34, pointsHeld: true },
} as const satisfies Record<string, CollarStyle>;

export type CollarStyleCode = keyof typeof collarStyles;
