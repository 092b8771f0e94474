/** Where the tip shall end, from the belt top (positive = lower), and how far off is still right, mm. */
export interface Aim {
  readonly offsetMm: number;
  readonly aboveMm: number;
  readonly belowMm: number;
}

interface NamedAim extends Aim {
  readonly label: string;
  /** Added to the offset: this share of the belt's height. */
  readonly beltShare: number;
}

/** The aims people name. */
export const aims = {
  'belt-top': { label: 'top edge of the belt', beltShare: 0, offsetMm: 0, aboveMm: 25, belowMm: 0 },
  'finger-above': { label: 'a finger above the belt', beltShare: 0, offsetMm: -12, aboveMm: 13, belowMm: 12 },
  'belt-middle': { label: 'middle of the belt', beltShare: 0.5, offsetMm: 0, aboveMm: 18, belowMm: 17 },
  buckle: { label: 'middle of the buckle, never below it', beltShare: 0.5, offsetMm: 0, aboveMm: 18, belowMm: 0 },
  'navel-to-buckle': { label: 'between navel and buckle', beltShare: 0, offsetMm: -10, aboveMm: 35, belowMm: 27 },
  hidden: { label: 'anywhere under the waistcoat', beltShare: 0, offsetMm: -60, aboveMm: 90, belowMm: 60 },
} as const satisfies Record<string, NamedAim>;

export type AimCode = keyof typeof aims;
export const aimCodes = Object.keys(aims) as AimCode[];

/** A named aim on a belt of this height. */
export function aimOn(code: AimCode, beltHeightMm: number): Aim {
  const { beltShare, offsetMm, aboveMm, belowMm } = aims[code];
  return { offsetMm: offsetMm + Math.round(beltShare * beltHeightMm), aboveMm, belowMm };
}
