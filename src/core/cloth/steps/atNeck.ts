import { shirtZMm } from '../forces/body.ts';

/** Cloth so far behind the shirt's front lies at the neck's side, mm. */
const atNeckBehindMm = 30;

/** Whether cloth at this depth lies at the neck, under the collar, and does not hang before the shirt. */
export function liesAtNeck(z: number): boolean {
  return z < shirtZMm - atNeckBehindMm;
}
