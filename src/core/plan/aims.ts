/** Where the tip shall end, from the belt top (positive = lower), and how far off is still right, mm. */
export interface Aim {
  readonly offsetMm: number;
  readonly aboveMm: number;
  readonly belowMm: number;
  /** Within the tolerance each knot aims where both its ends come out level, or nearest to it. */
  readonly level?: boolean;
}

interface NamedAim extends Aim {
  readonly label: string;
  /** Added to the offset and to both sides of the tolerance: this share of the belt's width. */
  readonly beltShare: number;
  readonly beltShareAround: number;
}

/** The aims people name. All but the belt's edge are aimed at the middle of what is right. */
export const aims = {
  'finger-above': { label: 'a finger above the belt', beltShare: 0, beltShareAround: 0, offsetMm: -12, aboveMm: 13, belowMm: 12 },
  'belt-top': { label: 'the top edge of the belt', beltShare: 0, beltShareAround: 0, offsetMm: 0, aboveMm: 25, belowMm: 0 },
  'belt-middle': { label: 'the middle of the belt', beltShare: 0.5, beltShareAround: 0, offsetMm: 0, aboveMm: 18, belowMm: 17 },
  buckle: { label: 'anywhere on the buckle', beltShare: 0.5, beltShareAround: 0.5, offsetMm: 0, aboveMm: 0, belowMm: 0 },
  'navel-to-buckle': { label: 'between navel and buckle', beltShare: 0, beltShareAround: 0, offsetMm: -6, aboveMm: 31, belowMm: 31 },
  hidden: { label: 'anywhere under the waistcoat', beltShare: 0, beltShareAround: 0, offsetMm: -75, aboveMm: 75, belowMm: 75 },
  level: { label: 'both ends level', beltShare: 0, beltShareAround: 0, offsetMm: -20, aboveMm: 30, belowMm: 30, level: true },
} as const satisfies Record<string, NamedAim>;

export type AimCode = keyof typeof aims;
export const aimCodes = Object.keys(aims) as AimCode[];

/** A named aim on a belt of this width. */
export function aimOn(code: AimCode, beltMm: number): Aim {
  const { beltShare, beltShareAround, offsetMm, aboveMm, belowMm, level = false }: NamedAim = aims[code];
  const down = Math.round(beltShare * beltMm);
  const around = Math.round(beltShareAround * beltMm);
  // Rounding must not let the tolerance reach below the belt's lower edge.
  return {
    offsetMm: offsetMm + down,
    aboveMm: aboveMm + around,
    belowMm: belowMm + Math.min(around, beltShareAround > 0 ? beltMm - down : 0),
    ...(level && { level }),
  };
}
