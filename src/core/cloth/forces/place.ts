import type { ClothMesh, Strand } from '../mesh/mesh.ts';
import { shirtZMm } from './body.ts';

/** Where hands keep a knot: they slide it to its place, and hold to the middle and down what nothing else holds. */

/** The upper edge of a knot that is drawn up stands so far above the collar button, and the knot so far off the shirt, mm. */
const topAboveMm = 6;
const offShirtMm = 7;
/** It is slid by so much of what is missing in a step, and no further. */
const slideShare = 0.03;
const mostSlideMm = 0.4;
const mostPressMm = 0.1;
/** The face is looked at so far to either side of the middle, and the back over the lower part of its height. */
const faceHalfMm = 15;
const lowerShare = 0.4;

/** Where the knot's face is and how far its lower part stands off the shirt, mm, as hands feel it. */
export class KnotPlace {
  middleMm = 0;
  topMm = Number.NEGATIVE_INFINITY;
  bottomMm = Number.NEGATIVE_INFINITY;
  gapMm = 0;

  measure({ position: p, columns, active }: ClothMesh): void {
    const { first, entersAt, leavesAt, parts } = active;
    const face = parts.includes('band') ? 'band' : 'turn';
    let sum = 0;
    let rows = 0;
    let top = Number.NEGATIVE_INFINITY;
    let bottom = Number.POSITIVE_INFINITY;
    for (let row = entersAt; row < leavesAt; row++) {
      if (parts[row] !== face) continue;
      sum += p[3 * (first + row * columns + Math.floor(columns / 2))];
      rows++;
      for (let v = first + row * columns; v < first + (row + 1) * columns; v++) {
        if (Math.abs(p[3 * v]) > faceHalfMm) continue;
        top = Math.max(top, p[3 * v + 1]);
        bottom = Math.min(bottom, p[3 * v + 1]);
      }
    }
    if (top < bottom) return;
    this.middleMm = sum / rows;
    this.topMm = top;
    this.bottomMm = bottom;
    this.gapMm = Number.POSITIVE_INFINITY;
    for (let v = first + entersAt * columns; v < first + leavesAt * columns; v++) {
      const y = p[3 * v + 1];
      if (y > bottom && y < bottom + lowerShare * (top - bottom)) this.gapMm = Math.min(this.gapMm, p[3 * v + 2] - shirtZMm);
    }
  }
}

/**
 * Slides the knot as one to its place at the collar button and presses its lower part to the shirt, as the hand does that
 * holds it; arms and hanging ends follow by and by. `eased` goes from 0, where it was laid, to 1.
 */
export function settle(mesh: ClothMesh, place: KnotPlace, eased: number): void {
  const { middleMm, topMm, bottomMm, gapMm } = place;
  if (eased <= 0 || topMm <= bottomMm) return;
  const slide = (missing: number) => eased * Math.max(-mostSlideMm, Math.min(mostSlideMm, slideShare * missing));
  const aside = slide(-middleMm);
  const up = slide(topAboveMm - topMm);
  const press = Number.isFinite(gapMm) ? eased * Math.max(-mostPressMm, Math.min(0, slideShare * (offShirtMm - gapMm))) : 0;
  for (const strand of [mesh.active, mesh.standing]) shift(mesh, strand, aside, up, press, place);
}

/** Shifts the knot of a strand whole, without setting it in motion; its arm and its hanging end by less the nearer they are to being held. */
function shift(mesh: ClothMesh, strand: Strand, aside: number, up: number, press: number, { topMm, bottomMm }: KnotPlace): void {
  const { position: p, before: q, columns } = mesh;
  const { first, rows, entersAt, leavesAt } = strand;
  for (let row = 0; row < rows; row++) {
    const t = row < entersAt ? row / entersAt : row >= leavesAt ? (rows - 1 - row) / (rows - 1 - leavesAt) : 1;
    const share = t * t * (3 - 2 * t);
    for (let i = 3 * (first + row * columns); i < 3 * (first + (row + 1) * columns); i += 3) {
      const low = Math.max(0, Math.min(1, (topMm - p[i + 1]) / (topMm - bottomMm)));
      p[i] += share * aside;
      q[i] += share * aside;
      p[i + 1] += share * up;
      q[i + 1] += share * up;
      p[i + 2] += share * low * press;
      q[i + 2] += share * low * press;
    }
  }
}

/** Keeps a panel that falls over the knot to the middle, where nothing holds it but a hand. */
export function centrePanel({ position: p, before: q, columns, active }: ClothMesh, eased: number): void {
  const from = active.parts.indexOf('tuck');
  if (from < 0) return;
  for (let row = from; row < active.rows; row++) {
    const at = active.first + row * columns;
    const aside = eased * slideShare * p[3 * (at + Math.floor(columns / 2))];
    for (let i = 3 * at; i < 3 * (at + columns); i += 3) {
      p[i] -= aside;
      q[i] -= aside;
    }
  }
}

/** Turns that are held open are laid down where they stand higher than this above the collar button, so much of it in a step and no more, mm. */
const laidBelowMm = 14;
const layShare = 0.05;
const mostLaidMm = 0.3;

/** Lays turns that are held open down on the knot: by themselves they would stand up from it. `eased` goes from 0 to 1. */
export function layDown({ position: p, columns, active }: ClothMesh, openFrom: number, eased: number): void {
  const { first, entersAt, leavesAt, moves } = active;
  for (let row = entersAt; row < leavesAt; row++) {
    if (moves[row] < openFrom) continue;
    for (let i = 3 * (first + row * columns); i < 3 * (first + (row + 1) * columns); i += 3) {
      const over = p[i + 1] - laidBelowMm;
      if (over > 0) p[i + 1] -= eased * Math.min(mostLaidMm, layShare * over);
    }
  }
}
