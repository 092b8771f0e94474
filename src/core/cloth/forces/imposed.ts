import type { Knot } from '../../knot/knot.ts';
import { rounded } from '../mesh/exact.ts';
import type { Side } from '../mesh/loosePath.ts';
import { asideOf, type ClothMesh, type Strand } from '../mesh/mesh.ts';
import { shirtZMm } from './body.ts';
import type { Crease } from './elastic.ts';

/** What is imposed on the cloth as hands and collar do it, on top of what tension and contact give. */

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

/** How hard the hands that draw a knot up work on the reference tie, in a step, mm: what a finger squeezes in, over all that lies under it, and what a hand presses back. */
export interface Hands {
  readonly squeezeMm: number;
  readonly pressMm: number;
}

/** Fitted on two knots of which real ties were handled (`npm run cloth calibrate`). */
export const usualHands: Hands = { squeezeMm: 2.1, pressMm: 0.014 };

/** The reference tie's neck holds so much cloth, mm²; a fuller one is squeezed as much harder. */
const squeezedMm2 = 67.5;
/** On that tie fingers reach no nearer to the middle than this, press with all their strength from so much further out, and reach so far past the knot, mm. */
const betweenFingersMm = 10;
const fingertipMm = 12;
const pastKnotMm = 4;
/** A finger under which less lies than so many points is not pressed against it any harder. */
const leastUnder = 32;
/** Where on it a finger presses harder, so that both press at one height, it does by no more than this share. */
const mostHarder = 1.5;

/** What lies under one of two fingers: how much of it, and how high up the knot, from 0 at its bottom to 1 at its top. */
class Finger {
  private weight = 0;
  private height = 0;
  private square = 0;
  private harderAbove = 0;
  private total = 0;

  feel(held: number, up: number): void {
    this.weight += rounded(held);
    this.height += rounded(held * up);
    this.square += rounded(held * up * up);
  }

  get isFree(): boolean {
    return this.weight < 1;
  }

  get meanHeight(): number {
    return this.height / this.weight;
  }

  /** Presses so that what it presses with has its middle at a height. */
  pressAt(level: number): void {
    const above = this.height - level * this.weight;
    this.harderAbove = -above / (this.square - 2 * level * this.height + level * level * this.weight + leastSpread);
    this.total = this.weight + this.harderAbove * above;
  }

  /** Share of its strength that a point at a height takes. */
  shareAt(up: number, level: number): number {
    const harder = Math.max(-mostHarder, Math.min(mostHarder, this.harderAbove * (up - level)));
    return Math.max(0, 1 + harder) / Math.max(leastUnder, this.total);
  }
}

const leastSpread = 0.05;

/**
 * Squeezes the knot from both sides, as two fingers do that draw it up: with the same strength, at one height, shared out over what
 * lies under each; the cloth withstands. So they work on a large knot as on a small one, and turn none. Fingers take a fuller tie harder, and further
 * apart: `sectionMm2` is what its neck holds. Where the last `turns` are held open, they let the top be.
 */
export function squeeze(
  mesh: ClothMesh,
  { middleMm, topMm, bottomMm }: KnotPlace,
  sectionMm2: number,
  squeezeMm: number,
  turns: 'drawn' | 'open' = 'drawn',
): void {
  if (squeezeMm <= 0 || topMm <= bottomMm) return;
  const { position: p, columns, active } = mesh;
  const { first, entersAt, leavesAt, parts } = active;
  const tucked = parts.indexOf('tuck');
  const [from, to] = [3 * (first + entersAt * columns), 3 * (first + (tucked < 0 ? leavesAt : tucked) * columns)];
  const fuller = sectionMm2 / squeezedMm2;
  const size = Math.sqrt(fuller);
  const upAt = (i: number) => (p[i + 1] - bottomMm) / (topMm - bottomMm);
  const heldAt = (i: number) => {
    if (p[i + 1] > topMm + pastKnotMm || p[i + 1] < bottomMm - pastKnotMm) return 0;
    const held = Math.min(1, (Math.abs(p[i] - middleMm) - size * betweenFingersMm) / (size * fingertipMm));
    return turns === 'open' ? held * Math.max(0, Math.min(1, 2 * (1 - upAt(i)))) : held;
  };
  const fingers = [new Finger(), new Finger()] as const;
  for (let i = from; i < to; i += 3) {
    const held = heldAt(i);
    if (held > 0) fingers[p[i] > middleMm ? 1 : 0].feel(held, upAt(i));
  }
  if (fingers[0].isFree || fingers[1].isFree) return;
  const level = (fingers[0].meanHeight + fingers[1].meanHeight) / 2;
  for (const finger of fingers) finger.pressAt(level);
  for (let i = from; i < to; i += 3) {
    const held = heldAt(i);
    if (held <= 0) continue;
    const side = p[i] > middleMm ? 1 : -1;
    p[i] -= side * squeezeMm * fuller * held * fingers[side === 1 ? 1 : 0].shareAt(upAt(i), level);
  }
}

/** A finger behind the blade holds it out over so much below the knot, by so much a step where it is strongest, mm. */
const archedOverMm = 60;
const archMm = 0.03;

/** Holds the blade out below the knot that it comes out of: pulled straight, it arches. `eased` goes from 0 to 1. */
export function arch({ position: p, columns, active }: ClothMesh, { bottomMm }: KnotPlace, eased: number): void {
  const { first, rows, parts } = active;
  const middle = Math.floor(columns / 2);
  for (let row = parts.indexOf('tuck'); row < rows; row++) {
    const at = first + row * columns;
    const below = (bottomMm - p[3 * (at + middle) + 1]) / archedOverMm;
    if (below <= 0 || below >= 1) continue;
    const out = eased * archMm * Math.sin(Math.PI * below) ** 2;
    for (let i = 3 * at; i < 3 * (at + columns); i += 3) p[i + 2] += out;
  }
}

const pressedTo = { topMm: 50, bottomMm: -70 } as const;

/** Presses the whole knot gently toward the shirt, by so much a step, which the cloth withstands. */
export function pressToShirt({ position: p, count }: ClothMesh, pressMm: number): void {
  for (let i = 0; i < 3 * count; i += 3) {
    const y = p[i + 1];
    if (y > pressedTo.bottomMm && y < pressedTo.topMm && p[i + 2] > shirtZMm) p[i + 2] -= pressMm;
  }
}

/** The dimples that are laid: one crease in the middle, a hair off it, two, or none. */
export type DimpleLaid = 'none' | 'centred' | 'off-centre' | 'double';

/** As deep as this share of the blade's width. */
const dimpleDepth = 0.07;
const shoulderShare = 0.5;
const belowKnotMm = 45;

/** Only a blade that comes out of a tuck has a dimple to lay. */
export function takesDimple({ active, finish }: Knot): boolean {
  return active === 'blade' && finish === 'tuck';
}

/** The crease from the tuck to just below the knot, in a blade of a width, mm; `undefined` where none is laid. */
export function creaseOf(
  knot: Knot,
  { columns, active: strand }: ClothMesh,
  dimple: DimpleLaid,
  bladeMm: number,
  side: Side = 1,
): Crease | undefined {
  if (!takesDimple(knot)) return undefined;
  const firstRow = strand.parts.indexOf('tuck');
  const hangs = strand.parts.lastIndexOf('tuck') + 1;
  if (dimple === 'none' || firstRow < 0) return undefined;
  const depth = Float64Array.from({ length: columns }, (_, c) => dimpleDepth * bladeMm * depthAt(2 * side * asideOf(c, columns), dimple));
  const offset = Float64Array.from({ length: columns }, (_, c) =>
    c === 0 || c === columns - 1 ? 0 : depth[c] - (depth[c - 1] + depth[c + 1]) / 2,
  );
  let lastRow = hangs;
  for (let below = 0; below < belowKnotMm && lastRow < strand.rows - 3; lastRow++) below += strand.rest[lastRow] ?? 0;
  return { firstRow, lastRow, offset };
}

/** Across a blade, from −1 at one edge to 1 at the other: −1 where it lies deepest. */
function depthAt(across: number, dimple: DimpleLaid): number {
  const bump = (at: number, width: number) => Math.exp(-(((across - at) / width) ** 2));
  const one = (at: number) => shoulderShare * (bump(at - 0.7, 0.3) + bump(at + 0.7, 0.3)) - bump(at, 0.35);
  if (dimple === 'double') return 0.7 * (one(-0.45) + one(0.45));
  return one(dimple === 'off-centre' ? 0.12 : 0);
}
