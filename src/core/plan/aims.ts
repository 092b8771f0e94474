import { beltHeightMm } from '../body/frontDrop.ts';

/** Where the tip shall end, from the belt top (positive = lower), and how far off is still right, mm. */
export interface Aim {
  readonly label: string;
  readonly offsetMm: number;
  readonly aboveMm: number;
  readonly belowMm: number;
}

/** The aims people name. */
export const aims = {
  'belt-top': { label: 'top edge of the belt', offsetMm: 0, aboveMm: 25, belowMm: 0 },
  'finger-above': { label: 'a finger above the belt', offsetMm: -12, aboveMm: 13, belowMm: 12 },
  'belt-middle': { label: 'middle of the belt', offsetMm: Math.round(beltHeightMm / 2), aboveMm: 18, belowMm: 17 },
  buckle: { label: 'middle of the buckle, never below it', offsetMm: Math.round(beltHeightMm / 2), aboveMm: 18, belowMm: 0 },
  'navel-to-buckle': { label: 'between navel and buckle', offsetMm: -10, aboveMm: 35, belowMm: 27 },
  hidden: { label: 'anywhere under the waistcoat', offsetMm: -60, aboveMm: 90, belowMm: 60 },
} as const satisfies Record<string, Aim>;

export type AimCode = keyof typeof aims;
export const aimCodes = Object.keys(aims) as AimCode[];
